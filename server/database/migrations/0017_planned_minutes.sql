CREATE TABLE `planned_minutes` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`wall` integer NOT NULL,
	`kind` text NOT NULL,
	`minutes` real NOT NULL,
	`since` text NOT NULL,
	FOREIGN KEY (`wall`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `planned_minutes_wall` ON `planned_minutes` (`wall`,`kind`,`since`);