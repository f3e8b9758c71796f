CREATE TABLE `set_aside` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`site` integer NOT NULL,
	`wall` text NOT NULL,
	`id` text NOT NULL,
	`entry` text NOT NULL,
	`reason` text NOT NULL,
	`received_at` text NOT NULL,
	`resolved_at` text,
	`resolved_by` text,
	`accepted` integer,
	FOREIGN KEY (`site`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `set_aside_id` ON `set_aside` (`site`,`id`);--> statement-breakpoint
CREATE INDEX `log_kind` ON `log` (`site`,`kind`,`wall`);