CREATE TABLE `revisions` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`site` integer NOT NULL,
	`wall` text NOT NULL,
	`id` text NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`site`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `revisions_id` ON `revisions` (`site`,`wall`,`id`);