CREATE TABLE `session_keys` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`session` integer NOT NULL,
	`id` text NOT NULL,
	`jwk` text NOT NULL,
	`made_at` text NOT NULL,
	FOREIGN KEY (`session`) REFERENCES `sessions`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `session_keys_id_unique` ON `session_keys` (`id`);--> statement-breakpoint
CREATE INDEX `session_keys_session` ON `session_keys` (`session`);