ALTER TABLE `card_revisions` ADD `made_by` binary(16);--> statement-breakpoint
ALTER TABLE `card_revisions` ADD `made_at` datetime(3);--> statement-breakpoint
ALTER TABLE `cards` ADD `search` json;--> statement-breakpoint
ALTER TABLE `cards` ADD `changed_at` datetime(3) DEFAULT current_timestamp(3) NOT NULL;--> statement-breakpoint
ALTER TABLE `check_states` ADD `judged_u` double;--> statement-breakpoint
ALTER TABLE `runs` ADD `compare` json;--> statement-breakpoint
ALTER TABLE `units` ADD `tray` binary(16);--> statement-breakpoint
CREATE INDEX `card_revisions_by_state` ON `card_revisions` (`state`,`card`);--> statement-breakpoint
CREATE INDEX `cards_by_change` ON `cards` (`changed_at`);--> statement-breakpoint
CREATE INDEX `units_by_tray` ON `units` (`tray`,`id`);