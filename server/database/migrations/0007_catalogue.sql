CREATE TABLE `models` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`saved_at` text NOT NULL,
	`saved_by` text NOT NULL,
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`model` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `models_id` ON `models` (`kind`,`id`);