CREATE TABLE `log_photos` (
	`id` text PRIMARY KEY NOT NULL,
	`wall_id` text NOT NULL,
	`bytes` blob NOT NULL,
	`member` text,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`wall_id`) REFERENCES `walls`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`member`) REFERENCES `members`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `log_photos_by_wall` ON `log_photos` (`wall_id`);--> statement-breakpoint
ALTER TABLE `acts` ADD `clock_off` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `work_acts` ADD `clock_off` integer DEFAULT 0 NOT NULL;