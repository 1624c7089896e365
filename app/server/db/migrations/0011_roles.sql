CREATE TABLE `device_tokens` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`created_at` integer NOT NULL,
	`used_at` integer
);
--> statement-breakpoint
ALTER TABLE `members` ADD `role` text DEFAULT 'lead' NOT NULL;--> statement-breakpoint
ALTER TABLE `members` ADD `sees_prices` integer DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE `members` SET `role` = 'owner' WHERE `id` = (SELECT `id` FROM `members` ORDER BY `shut_out_at` IS NOT NULL, `created_at`, rowid LIMIT 1);
