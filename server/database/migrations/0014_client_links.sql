CREATE TABLE `links` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`site` integer NOT NULL,
	`wall` text NOT NULL,
	`id` text NOT NULL,
	`secret` text NOT NULL,
	`client` text NOT NULL,
	`made_at` text NOT NULL,
	`made_by` text NOT NULL,
	`expires_at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`site`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `links_id_unique` ON `links` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `links_secret_unique` ON `links` (`secret`);--> statement-breakpoint
CREATE INDEX `links_wall` ON `links` (`site`,`wall`);