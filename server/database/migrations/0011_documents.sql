ALTER TABLE `sites` RENAME TO `earlier_sites`;
--> statement-breakpoint
ALTER TABLE `walls` RENAME TO `earlier_walls`;
--> statement-breakpoint
ALTER TABLE `log` RENAME TO `earlier_log`;
--> statement-breakpoint
DROP INDEX `sites_id_unique`;
--> statement-breakpoint
DROP INDEX `walls_id`;
--> statement-breakpoint
DROP INDEX `log_id`;
--> statement-breakpoint
DROP INDEX `log_wall`;
--> statement-breakpoint
CREATE TABLE `firm` (
	`key` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`rules` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `log` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`site` integer NOT NULL,
	`seq` integer NOT NULL,
	`id` text NOT NULL,
	`wall` text NOT NULL,
	`kind` text NOT NULL,
	`hash` text NOT NULL,
	`entry` text NOT NULL,
	FOREIGN KEY (`site`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `log_id` ON `log` (`site`,`id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `log_seq` ON `log` (`site`,`seq`);
--> statement-breakpoint
CREATE INDEX `log_wall` ON `log` (`site`,`wall`);
--> statement-breakpoint
CREATE TABLE `sites` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`units` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sites_id_unique` ON `sites` (`id`);
--> statement-breakpoint
CREATE TABLE `stock` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`model` text NOT NULL,
	`change` integer NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`note` text
);
--> statement-breakpoint
CREATE INDEX `stock_model` ON `stock` (`kind`,`model`);
--> statement-breakpoint
CREATE TABLE `wall_models` (
	`wall` integer NOT NULL,
	`kind` text NOT NULL,
	`model` text NOT NULL,
	PRIMARY KEY(`wall`, `kind`, `model`),
	FOREIGN KEY (`wall`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `wall_models_model` ON `wall_models` (`kind`,`model`);
--> statement-breakpoint
CREATE TABLE `walls` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`site` integer NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`width` real NOT NULL,
	`height` real NOT NULL,
	`structure` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`saved_at` text NOT NULL,
	`saved_by` text NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`site`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `walls_id` ON `walls` (`site`,`id`);
