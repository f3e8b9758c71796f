ALTER TABLE `arrays` ADD `align` text;--> statement-breakpoint
ALTER TABLE `arrays` ADD `cells` text;--> statement-breakpoint
ALTER TABLE `walls` ADD `clearance` real;--> statement-breakpoint
ALTER TABLE `walls` ADD `alternatives` text;--> statement-breakpoint
ALTER TABLE `walls` ADD `alternative` text;--> statement-breakpoint
ALTER TABLE `walls` ADD `chosen` text;