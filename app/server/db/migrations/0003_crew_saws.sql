CREATE TABLE `saws` (
	`name` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	`kept_at` integer NOT NULL
);
