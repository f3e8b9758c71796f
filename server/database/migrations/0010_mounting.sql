ALTER TABLE `arrays` ADD `holes` text;--> statement-breakpoint
ALTER TABLE `arrays` ADD `carrier` text;--> statement-breakpoint
ALTER TABLE `arrays` ADD `needs` text;--> statement-breakpoint
ALTER TABLE `arrays` ADD `behind` text;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `critical_edge` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `critical_spacing` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `min_spacing` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `edge_factor` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `spacing_factor` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `torque` real;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `finish` text;--> statement-breakpoint
ALTER TABLE `fasteners` ADD `stock` integer;--> statement-breakpoint
ALTER TABLE `mounts` ADD `other_needs` text;--> statement-breakpoint
ALTER TABLE `mounts` ADD `side_clearance` real;--> statement-breakpoint
ALTER TABLE `sites` ADD `block_joints` text;--> statement-breakpoint
ALTER TABLE `sites` ADD `furring` text;--> statement-breakpoint
ALTER TABLE `walls` ADD `wet` integer;--> statement-breakpoint
ALTER TABLE `walls` ADD `overrides` text;