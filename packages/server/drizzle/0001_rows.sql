CREATE TABLE `batches` (
	`project_id` text NOT NULL,
	`id` text NOT NULL,
	`rows` blob NOT NULL,
	PRIMARY KEY(`project_id`, `id`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `records` (
	`project_id` text NOT NULL,
	`table_id` text NOT NULL,
	`place` integer NOT NULL,
	`row` text NOT NULL,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `records_place` ON `records` (`project_id`,`table_id`,`place`);