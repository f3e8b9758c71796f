CREATE TABLE `audit` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`firm` integer NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`kind` text NOT NULL,
	`subject` text NOT NULL,
	`detail` text NOT NULL,
	FOREIGN KEY (`firm`) REFERENCES `firms`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `audit_firm` ON `audit` (`firm`,`key`);--> statement-breakpoint
CREATE TABLE `firms` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`folder` text NOT NULL,
	`made_at` text NOT NULL,
	`device_days` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `firms_id_unique` ON `firms` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `firms_folder_unique` ON `firms` (`folder`);--> statement-breakpoint
CREATE TABLE `grants` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person` integer NOT NULL,
	`role` text NOT NULL,
	`sites` text NOT NULL,
	`from` text NOT NULL,
	`to` text,
	FOREIGN KEY (`person`) REFERENCES `people`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `grants_person` ON `grants` (`person`);--> statement-breakpoint
CREATE TABLE `invitations` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`kind` text NOT NULL,
	`secret` text NOT NULL,
	`firm` integer,
	`person` integer,
	`name` text NOT NULL,
	`address` text NOT NULL,
	`role` text NOT NULL,
	`sites` text NOT NULL,
	`made_by` text NOT NULL,
	`made_at` text NOT NULL,
	`expires_at` text NOT NULL,
	`used_at` text,
	`ended_at` text,
	FOREIGN KEY (`firm`) REFERENCES `firms`(`key`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person`) REFERENCES `people`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `invitations_id_unique` ON `invitations` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `invitations_secret_unique` ON `invitations` (`secret`);--> statement-breakpoint
CREATE TABLE `passkeys` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person` integer NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`public_key` text NOT NULL,
	`counter` integer NOT NULL,
	`transports` text NOT NULL,
	`made_at` text NOT NULL,
	FOREIGN KEY (`person`) REFERENCES `people`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `passkeys_id_unique` ON `passkeys` (`id`);--> statement-breakpoint
CREATE TABLE `people` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`firm` integer NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`address` text NOT NULL,
	`password` text,
	`removed_at` text,
	FOREIGN KEY (`firm`) REFERENCES `firms`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_id_unique` ON `people` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `people_address` ON `people` (`firm`,`address`);--> statement-breakpoint
CREATE INDEX `people_by_address` ON `people` (`address`);--> statement-breakpoint
CREATE TABLE `sessions` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person` integer NOT NULL,
	`id` text NOT NULL,
	`device` text NOT NULL,
	`way` text NOT NULL,
	`began_at` text NOT NULL,
	`seen_at` text NOT NULL,
	`ended_at` text,
	`ended_by` text,
	FOREIGN KEY (`person`) REFERENCES `people`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sessions_id_unique` ON `sessions` (`id`);--> statement-breakpoint
CREATE INDEX `sessions_person` ON `sessions` (`person`);