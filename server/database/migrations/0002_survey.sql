CREATE TABLE `blocking` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`y` real NOT NULL,
	`found` integer NOT NULL,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `blocking_id` ON `blocking` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `surface` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`x` real NOT NULL,
	`y` real NOT NULL,
	`distance` real NOT NULL,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `surface_parent` ON `surface` (`parent`);--> statement-breakpoint
ALTER TABLE `evidence` ADD `by` text;--> statement-breakpoint
ALTER TABLE `evidence` ADD `at` text;--> statement-breakpoint
ALTER TABLE `evidence` ADD `note` text;--> statement-breakpoint
ALTER TABLE `evidence` ADD `photo` text;--> statement-breakpoint
ALTER TABLE `evidence` ADD `set_aside` text;--> statement-breakpoint
ALTER TABLE `layers` ADD `note` text;--> statement-breakpoint
ALTER TABLE `sites` ADD `proof_of_framing` text;--> statement-breakpoint
ALTER TABLE `walls` ADD `gauge` real;--> statement-breakpoint
ALTER TABLE `walls` ADD `concrete_strength` real;--> statement-breakpoint
ALTER TABLE `walls` ADD `block_unit` text;--> statement-breakpoint
ALTER TABLE `walls` ADD `insulation` text;--> statement-breakpoint
ALTER TABLE `walls` ADD `fire_rating` real;--> statement-breakpoint
ALTER TABLE `walls` ADD `lined_in` integer;