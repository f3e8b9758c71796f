CREATE TABLE `heads` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`site` integer NOT NULL,
	`seq` integer NOT NULL,
	`hash` text NOT NULL,
	`at` text NOT NULL,
	`public_key` text NOT NULL,
	`sig` text NOT NULL,
	FOREIGN KEY (`site`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `heads_site` ON `heads` (`site`,`seq`);