CREATE TABLE `client_acts` (
	`id` text PRIMARY KEY NOT NULL,
	`link_id` text NOT NULL,
	`kind` text NOT NULL,
	`body` text NOT NULL,
	`member` text,
	`done_at` integer NOT NULL,
	FOREIGN KEY (`link_id`) REFERENCES `client_links`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`member`) REFERENCES `members`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `client_acts_by_link` ON `client_acts` (`link_id`);--> statement-breakpoint
CREATE TABLE `client_links` (
	`id` text PRIMARY KEY NOT NULL,
	`token` text NOT NULL,
	`job_id` text NOT NULL,
	`body` text NOT NULL,
	`member` text,
	`created_at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`member`) REFERENCES `members`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `client_links_token_unique` ON `client_links` (`token`);--> statement-breakpoint
CREATE INDEX `client_links_by_job` ON `client_links` (`job_id`);--> statement-breakpoint
CREATE TABLE `house_book` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`kind` text NOT NULL,
	`body` text NOT NULL,
	`kept_at` integer NOT NULL,
	`put_away_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `house_book_by_job` ON `house_book` (`job_id`);--> statement-breakpoint
CREATE TABLE `options` (
	`id` text PRIMARY KEY NOT NULL,
	`wall_id` text NOT NULL,
	`name` text NOT NULL,
	`design_id` text NOT NULL,
	`position` integer NOT NULL,
	`put_away_at` integer,
	FOREIGN KEY (`wall_id`) REFERENCES `walls`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`design_id`) REFERENCES `documents`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `options_by_wall` ON `options` (`wall_id`);--> statement-breakpoint
CREATE INDEX `options_by_design` ON `options` (`design_id`);--> statement-breakpoint
CREATE TABLE `pattern_book` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`body` text NOT NULL,
	`kept_at` integer NOT NULL,
	`put_away_at` integer
);
--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`wall_id` text NOT NULL,
	`name` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` blob NOT NULL,
	`marks` text NOT NULL,
	`revision` integer NOT NULL,
	`created_at` integer NOT NULL,
	`put_away_at` integer,
	FOREIGN KEY (`wall_id`) REFERENCES `walls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photos_by_wall` ON `photos` (`wall_id`);--> statement-breakpoint
CREATE TABLE `signatures` (
	`id` text PRIMARY KEY NOT NULL,
	`link_id` text NOT NULL,
	`job_id` text NOT NULL,
	`name` text NOT NULL,
	`line` text NOT NULL,
	`body` text NOT NULL,
	`fingerprint` text NOT NULL,
	`signed_at` integer NOT NULL,
	FOREIGN KEY (`link_id`) REFERENCES `client_links`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `signatures_link_id_unique` ON `signatures` (`link_id`);--> statement-breakpoint
INSERT INTO `options` (`id`, `wall_id`, `name`, `design_id`, `position`) SELECT `id`, `id`, 'Option 1', `design_id`, 0 FROM `walls`;
