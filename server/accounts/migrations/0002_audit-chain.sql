ALTER TABLE `audit` ADD `seq` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `audit` ADD `hash` text DEFAULT '' NOT NULL;