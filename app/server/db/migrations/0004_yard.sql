CREATE TABLE `price_lists` (
	`id` text PRIMARY KEY NOT NULL,
	`supplier_id` text NOT NULL,
	`text` text NOT NULL,
	`created_at` integer NOT NULL,
	`done_at` integer,
	FOREIGN KEY (`supplier_id`) REFERENCES `suppliers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `stock_lengths` (
	`id` text PRIMARY KEY NOT NULL,
	`material_id` text NOT NULL,
	`length` integer NOT NULL,
	`true_length` integer,
	`price` integer,
	`least_order` integer NOT NULL,
	`supplier_id` text,
	`code` text NOT NULL,
	`state` text NOT NULL,
	`there` text,
	FOREIGN KEY (`material_id`) REFERENCES `stock_materials`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`supplier_id`) REFERENCES `suppliers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stock_lengths_by_material` ON `stock_lengths` (`material_id`);--> statement-breakpoint
CREATE TABLE `stock_materials` (
	`id` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	`position` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `suppliers` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`address` text
);
--> statement-breakpoint
CREATE TABLE `yard_acts` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`job_id` text,
	`body` text NOT NULL,
	`member` text,
	`done_at` integer NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`member`) REFERENCES `members`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `yard_acts_by_job` ON `yard_acts` (`job_id`);