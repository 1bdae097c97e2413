CREATE TABLE `assets` (
	`project_id` text NOT NULL,
	`name` text NOT NULL,
	`type` text NOT NULL,
	`width` real NOT NULL,
	`height` real NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`project_id`, `name`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `assets_project` ON `assets` (`project_id`);--> statement-breakpoint
CREATE TABLE `entries` (
	`project_id` text NOT NULL,
	`revision` integer NOT NULL,
	`client_id` text NOT NULL,
	`sequence` integer NOT NULL,
	`kind` text NOT NULL,
	`label` text NOT NULL,
	`group_id` text,
	`steps` text NOT NULL,
	`inverse` text NOT NULL,
	`time` integer NOT NULL,
	PRIMARY KEY(`project_id`, `revision`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `entries_client_sequence` ON `entries` (`project_id`,`client_id`,`sequence`);--> statement-breakpoint
CREATE TABLE `projects` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`revision` integer NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	`deleted_at` integer
);
--> statement-breakpoint
CREATE TABLE `snapshots` (
	`project_id` text NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`project_id`, `revision`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
