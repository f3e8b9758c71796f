CREATE TABLE `arrays` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`display` text NOT NULL,
	`mount` text,
	`fastener` text,
	`rows` integer NOT NULL,
	`columns` integer NOT NULL,
	`orientation` text NOT NULL,
	`gap_x` real NOT NULL,
	`gap_y` real NOT NULL,
	`at_x_edge` text NOT NULL,
	`at_x` real NOT NULL,
	`at_y_edge` text NOT NULL,
	`at_y` real NOT NULL,
	`shift_tolerance_x` real,
	`shift_tolerance_y` real,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `arrays_id` ON `arrays` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `displays` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`width` real NOT NULL,
	`height` real NOT NULL,
	`depth` real NOT NULL,
	`mass` real NOT NULL,
	`bezel_top` real NOT NULL,
	`bezel_right` real NOT NULL,
	`bezel_bottom` real NOT NULL,
	`bezel_left` real NOT NULL,
	`resolution_x` integer NOT NULL,
	`resolution_y` integer NOT NULL,
	`vesa_width` real NOT NULL,
	`vesa_height` real NOT NULL,
	`vesa_offset_x` real NOT NULL,
	`vesa_offset_y` real NOT NULL,
	`vesa_thread` real,
	`vesa_insert_depth` real,
	`vesa_recess` real,
	`power_typical` real,
	`power_max` real,
	`size_tolerance` real,
	FOREIGN KEY (`parent`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `displays_id` ON `displays` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `evidence` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`method` text NOT NULL,
	`x` real NOT NULL,
	`y` real NOT NULL,
	`side` text,
	`reference` text,
	`edge` text,
	`hit` integer,
	`dull` integer,
	`direction` text,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `evidence_id` ON `evidence` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `fasteners` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`name` text,
	`kind` text NOT NULL,
	`base` text NOT NULL,
	`diameter` real NOT NULL,
	`length` real NOT NULL,
	`root` real,
	`thread` real,
	`yield` real,
	`edge_distance` real,
	`min_joint_distance` real,
	FOREIGN KEY (`parent`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `fasteners_id` ON `fasteners` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `features` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`kind` text NOT NULL,
	`x` real NOT NULL,
	`y` real NOT NULL,
	`width` real NOT NULL,
	`height` real NOT NULL,
	`keep_reachable` integer,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `features_id` ON `features` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `layers` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`material` text NOT NULL,
	`thickness` real NOT NULL,
	`width` real,
	`spacing` real,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `layers_parent` ON `layers` (`parent`);--> statement-breakpoint
CREATE TABLE `log` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`wall` text NOT NULL,
	`kind` text NOT NULL,
	`hole` text NOT NULL,
	`x` real NOT NULL,
	`y` real NOT NULL,
	`result` text NOT NULL,
	`note` text,
	FOREIGN KEY (`parent`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `log_id` ON `log` (`parent`,`id`);--> statement-breakpoint
CREATE INDEX `log_wall` ON `log` (`parent`,`wall`);--> statement-breakpoint
CREATE TABLE `members` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`centre` real NOT NULL,
	`width` real NOT NULL,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `members_parent` ON `members` (`parent`);--> statement-breakpoint
CREATE TABLE `mounts` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`mass` real NOT NULL,
	`capacity` real NOT NULL,
	`plate_width` real NOT NULL,
	`plate_height` real NOT NULL,
	`plate_thickness` real NOT NULL,
	`interface_x` real NOT NULL,
	`interface_y` real NOT NULL,
	`adjust_lateral` real,
	`adjust_height` real,
	`adjust_depth` real,
	`adjust_roll` real,
	`needs_members` integer NOT NULL,
	`needs_rows` text NOT NULL,
	`depth_stowed` real NOT NULL,
	`depth_service` real NOT NULL,
	`lift` real,
	`orientations` text NOT NULL,
	`max_covering` real,
	FOREIGN KEY (`parent`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `mounts_id` ON `mounts` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `plates` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`row` integer NOT NULL,
	`column` integer NOT NULL,
	`lateral_shift` real NOT NULL,
	FOREIGN KEY (`parent`) REFERENCES `arrays`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `plates_parent` ON `plates` (`parent`);--> statement-breakpoint
CREATE TABLE `reference_lines` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`id` text NOT NULL,
	`front` real NOT NULL,
	`back` real NOT NULL,
	FOREIGN KEY (`parent`) REFERENCES `walls`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `reference_lines_id` ON `reference_lines` (`parent`,`id`);--> statement-breakpoint
CREATE TABLE `sites` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`units` text NOT NULL,
	`height_datum` text,
	`hollow_wall_anchors` text,
	`covering_counts_as_gap` integer,
	`marking_sigma` real
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sites_id_unique` ON `sites` (`id`);--> statement-breakpoint
CREATE TABLE `slots` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`row` text NOT NULL,
	`y` real NOT NULL,
	`x1` real NOT NULL,
	`x2` real NOT NULL,
	`diameter` real NOT NULL,
	FOREIGN KEY (`parent`) REFERENCES `mounts`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `slots_parent` ON `slots` (`parent`);--> statement-breakpoint
CREATE TABLE `walls` (
	`key` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`extra` text,
	`parent` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`saved_at` text DEFAULT '' NOT NULL,
	`saved_by` text DEFAULT '' NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`width` real NOT NULL,
	`height` real NOT NULL,
	`structure_kind` text NOT NULL,
	`member_width` real,
	`member_depth` real,
	`member_spacing` real,
	`specific_gravity` real,
	`structure_thickness` real,
	`block_length` real,
	`block_height` real,
	`block_joint` real,
	`block_bond` text,
	`block_origin_x` real,
	`block_origin_y` real,
	`datum_x` real,
	`datum_label` text,
	`level_line` real,
	FOREIGN KEY (`parent`) REFERENCES `sites`(`key`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `walls_id` ON `walls` (`parent`,`id`);