CREATE TABLE `checkpoints` (
	`project_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`revision` integer NOT NULL,
	`time` integer NOT NULL,
	PRIMARY KEY(`project_id`, `id`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
