CREATE TABLE `signed_pictures` (
	`signature_id` text NOT NULL,
	`wall_id` text NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`signature_id`, `wall_id`),
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE no action
);
