-- what is put on photographs, and a wall's options by name with the one chosen, become documents like any other
INSERT INTO `changes`("page", "state", "created_at")
SELECT '', 'made', CAST(strftime('%s', 'now') AS INTEGER) * 1000 WHERE EXISTS (SELECT 1 FROM `walls`);
--> statement-breakpoint
INSERT INTO `documents`("id", "head") SELECT 'options-' || "id", NULL FROM `walls`;
--> statement-breakpoint
INSERT INTO `documents`("id", "head") SELECT 'photo-' || "id", NULL FROM `photos`;
--> statement-breakpoint
INSERT INTO `revisions`("document_id", "parent", "change", "body", "created_at")
SELECT 'options-' || `w`."id", NULL, (SELECT max("id") FROM `changes`), json_object(
	'version', 1,
	'chosen', coalesce((SELECT `o`."id" FROM `options` `o` WHERE `o`."wall_id" = `w`."id" AND `o`."design_id" = `w`."design_id"), `w`."id"),
	'list', json((SELECT json_group_array(json_object(
		'id', `l`."id", 'name', `l`."name", 'archived', json(CASE WHEN `l`."put_away_at" IS NULL THEN 'false' ELSE 'true' END)
	)) FROM (SELECT * FROM `options` WHERE "wall_id" = `w`."id" ORDER BY "position") `l`))
), CAST(strftime('%s', 'now') AS INTEGER) * 1000
FROM `walls` `w`;
--> statement-breakpoint
INSERT INTO `revisions`("document_id", "parent", "change", "body", "created_at")
SELECT 'photo-' || "id", NULL, (SELECT max("id") FROM `changes`), "marks", "created_at" FROM `photos`;
--> statement-breakpoint
UPDATE `documents` SET "head" = (SELECT "id" FROM `revisions` WHERE `revisions`."document_id" = `documents`."id")
WHERE "head" IS NULL AND ("id" LIKE 'options-%' OR "id" LIKE 'photo-%');
--> statement-breakpoint
ALTER TABLE `photos` DROP COLUMN `marks`;--> statement-breakpoint
ALTER TABLE `photos` DROP COLUMN `revision`;
