ALTER TABLE `arrays` ADD `follows_x` text;--> statement-breakpoint
ALTER TABLE `arrays` ADD `follows_x_features` text;--> statement-breakpoint
ALTER TABLE `arrays` ADD `follows_y` text;--> statement-breakpoint
ALTER TABLE `arrays` ADD `follows_y_value` real;--> statement-breakpoint
ALTER TABLE `arrays` ADD `follows_y_feature` text;