PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_plates` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`row` integer NOT NULL,
	`column` integer NOT NULL,
	`lateral_shift` real,
	`height_shift` real,
	`reason` text,
	FOREIGN KEY (`parent`) REFERENCES `arrays`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_plates`("key", "extra", "parent", "row", "column", "lateral_shift", "height_shift", "reason") SELECT "key", "extra", "parent", "row", "column", "lateral_shift", NULL, NULL FROM `plates`;--> statement-breakpoint
DROP TABLE `plates`;--> statement-breakpoint
ALTER TABLE `__new_plates` RENAME TO `plates`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `plates_parent` ON `plates` (`parent`);