CREATE TABLE `screw_kits` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`thread` real NOT NULL,
	`lengths` text NOT NULL,
	`washers` text NOT NULL,
	`spacers` text NOT NULL,
	FOREIGN KEY (`parent`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `screw_kits_id` ON `screw_kits` (`parent`,`id`);--> statement-breakpoint
ALTER TABLE `arrays` ADD `screw` real;--> statement-breakpoint
ALTER TABLE `arrays` ADD `spacer` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `allowable_tension` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `allowable_shear` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `embedment` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `head` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `min_thickness` real;--> statement-breakpoint
ALTER TABLE `mounts` ADD `bracket` real;--> statement-breakpoint
ALTER TABLE `walls` ADD `steel_strength` real;--> statement-breakpoint
ALTER TABLE `walls` ADD `wind_speed` real;