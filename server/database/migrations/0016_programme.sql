CREATE TABLE `calendars` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`of` text NOT NULL,
	`secret` text NOT NULL,
	`made_at` text NOT NULL,
	`made_by` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `calendars_secret_unique` ON `calendars` (`secret`);--> statement-breakpoint
CREATE UNIQUE INDEX `calendars_of` ON `calendars` (`kind`,`of`);--> statement-breakpoint
CREATE TABLE `programme` (
	`key` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`settings` text NOT NULL,
	`published` integer DEFAULT 0 NOT NULL,
	`published_at` text,
	`published_by` text
);
--> statement-breakpoint
CREATE TABLE `visits` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`site` integer NOT NULL,
	`wall` text NOT NULL,
	`task` text NOT NULL,
	`crew` text NOT NULL,
	`crew_name` text NOT NULL,
	`people` text NOT NULL,
	`kind` text NOT NULL,
	`title` text NOT NULL,
	`starts_at` text NOT NULL,
	`ends_at` text NOT NULL,
	`published` integer NOT NULL,
	FOREIGN KEY (`site`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `visits_time` ON `visits` (`starts_at`);--> statement-breakpoint
CREATE INDEX `visits_site` ON `visits` (`site`);--> statement-breakpoint
CREATE TABLE `wall_states` (
	`wall` integer PRIMARY KEY NOT NULL,
	`basis` text NOT NULL,
	`state` text NOT NULL,
	`work` text NOT NULL,
	FOREIGN KEY (`wall`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `stock` ADD `place` text DEFAULT 'store' NOT NULL;