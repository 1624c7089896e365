CREATE TABLE `acts` (
	`id` text PRIMARY KEY NOT NULL,
	`wall_id` text NOT NULL,
	`kind` text NOT NULL,
	`body` text NOT NULL,
	`done_at` integer NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`wall_id`) REFERENCES `walls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `acts_by_wall` ON `acts` (`wall_id`,`done_at`);--> statement-breakpoint
CREATE TABLE `changes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`page` text NOT NULL,
	`state` text NOT NULL,
	`token` text,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `changes_by_page` ON `changes` (`page`,`state`);--> statement-breakpoint
CREATE INDEX `changes_by_token` ON `changes` (`token`);--> statement-breakpoint
-- every save of before becomes a change; what was undone then stays undone for good
INSERT INTO `changes`("id", "page", "state", "created_at")
WITH RECURSIVE `live`("id") AS (
	SELECT "head" FROM `documents` WHERE "head" IS NOT NULL
	UNION
	SELECT `revisions`."parent" FROM `revisions` JOIN `live` ON `revisions`."id" = `live`."id" WHERE `revisions`."parent" IS NOT NULL
)
SELECT "change", '', CASE
	WHEN max("parent") IS NULL THEN 'made'
	WHEN sum("id" NOT IN (SELECT "id" FROM `live`)) > 0 THEN 'left'
	ELSE 'done'
END, min("created_at") FROM `revisions` GROUP BY "change";
--> statement-breakpoint
CREATE TABLE `__new_revisions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`document_id` text NOT NULL,
	`parent` integer,
	`change` integer NOT NULL,
	`body` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`document_id`) REFERENCES `documents`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`parent`) REFERENCES `revisions`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`change`) REFERENCES `changes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
-- a wall's document becomes two, each with its own line of revisions: the survey keeps the name, the design gets a new one
INSERT INTO `__new_revisions`("id", "document_id", "parent", "change", "body", "created_at")
SELECT "id", "document_id", "parent", "change",
	CASE WHEN "document_id" IN (SELECT "document_id" FROM `walls`) THEN json_extract("body", '$.survey') ELSE "body" END,
	"created_at"
FROM `revisions`;
--> statement-breakpoint
INSERT INTO `__new_revisions`("id", "document_id", "parent", "change", "body", "created_at")
SELECT `r`."id" + `m`."n", `r`."document_id" || '-design', `r`."parent" + `m`."n", `r`."change",
	json_extract(`r`."body", '$.design'), `r`."created_at"
FROM `revisions` `r`, (SELECT max("id") AS "n" FROM `revisions`) `m`
WHERE `r`."document_id" IN (SELECT "document_id" FROM `walls`);
--> statement-breakpoint
INSERT INTO `documents`("id", "head")
SELECT `d`."id" || '-design', `d`."head" + `m`."n"
FROM `documents` `d`, (SELECT max("id") AS "n" FROM `revisions`) `m`
WHERE `d`."id" IN (SELECT "document_id" FROM `walls`);
--> statement-breakpoint
DROP TABLE `revisions`;--> statement-breakpoint
ALTER TABLE `__new_revisions` RENAME TO `revisions`;--> statement-breakpoint
CREATE INDEX `revisions_by_document` ON `revisions` (`document_id`);--> statement-breakpoint
CREATE INDEX `revisions_by_change` ON `revisions` (`change`);--> statement-breakpoint
CREATE TABLE `__new_walls` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`name` text NOT NULL,
	`position` integer NOT NULL,
	`survey_id` text NOT NULL,
	`design_id` text NOT NULL,
	`archived_at` integer,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`survey_id`) REFERENCES `documents`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`design_id`) REFERENCES `documents`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_walls`("id", "room_id", "name", "position", "survey_id", "design_id", "archived_at")
SELECT "id", "room_id", "name", "position", "document_id", "document_id" || '-design', "archived_at" FROM `walls`;
--> statement-breakpoint
DROP TABLE `walls`;--> statement-breakpoint
ALTER TABLE `__new_walls` RENAME TO `walls`;--> statement-breakpoint
CREATE INDEX `walls_by_room` ON `walls` (`room_id`);
