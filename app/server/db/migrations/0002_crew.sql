CREATE TABLE `members` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`hash` text NOT NULL,
	`created_at` integer NOT NULL,
	`shut_out_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `members_name_unique` ON `members` (`name`);--> statement-breakpoint
CREATE TABLE `pairings` (
	`id` text PRIMARY KEY NOT NULL,
	`member_id` text NOT NULL,
	`expires_at` integer NOT NULL,
	`used_at` integer,
	FOREIGN KEY (`member_id`) REFERENCES `members`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` text PRIMARY KEY NOT NULL,
	`member_id` text NOT NULL,
	`by` text NOT NULL,
	`browser` text NOT NULL,
	`created_at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	FOREIGN KEY (`member_id`) REFERENCES `members`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sessions_by_member` ON `sessions` (`member_id`);--> statement-breakpoint
ALTER TABLE `acts` ADD `member` text REFERENCES members(id);--> statement-breakpoint
ALTER TABLE `changes` ADD `member` text REFERENCES members(id);--> statement-breakpoint
CREATE INDEX `documents_by_head` ON `documents` (`head`);--> statement-breakpoint
CREATE INDEX `revisions_by_parent` ON `revisions` (`parent`);