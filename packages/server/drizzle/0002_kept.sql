CREATE TABLE `unreadable` (
	`project_id` text NOT NULL,
	`revision` integer NOT NULL,
	`time` integer NOT NULL,
	`reason` text NOT NULL,
	`label` text NOT NULL,
	`steps` text NOT NULL,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `unreadable_project` ON `unreadable` (`project_id`);--> statement-breakpoint
ALTER TABLE `batches` ADD `created_at` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `entries` ADD `takes` integer;--> statement-breakpoint
ALTER TABLE `projects` ADD `is_foreign` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `projects` ADD `screens` integer;