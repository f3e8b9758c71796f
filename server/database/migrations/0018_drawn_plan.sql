ALTER TABLE `wall_states` ADD `drawn` text;--> statement-breakpoint
-- States are derived: each is calculated again, now with its drawing.
DELETE FROM `wall_states`;
