CREATE TABLE `audit` (
	`id` binary(16) NOT NULL,
	`at` datetime(3) NOT NULL,
	`made_by` binary(16),
	`what` varchar(40) NOT NULL,
	`about` varchar(200) NOT NULL,
	`detail` json NOT NULL,
	CONSTRAINT `audit_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `card_revisions` (
	`card` binary(16) NOT NULL,
	`revision` int NOT NULL,
	`state` varchar(12) NOT NULL,
	`hash` varchar(64) NOT NULL,
	`body` json NOT NULL,
	CONSTRAINT `card_revisions_card_revision_pk` PRIMARY KEY(`card`,`revision`)
);
--> statement-breakpoint
CREATE TABLE `cards` (
	`id` binary(16) NOT NULL,
	`maker` varchar(200) NOT NULL,
	`model` varchar(200) NOT NULL,
	`family` varchar(40) NOT NULL,
	`published` int,
	CONSTRAINT `cards_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `check_states` (
	`run` binary(16) NOT NULL,
	`check_id` varchar(64) NOT NULL,
	`card` binary(16) NOT NULL,
	`verdict` varchar(12) NOT NULL,
	`reason` varchar(40),
	`judged` double,
	`open` boolean NOT NULL,
	CONSTRAINT `check_states_run_check_id_pk` PRIMARY KEY(`run`,`check_id`)
);
--> statement-breakpoint
CREATE TABLE `entries` (
	`id` binary(16) NOT NULL,
	`run` binary(16) NOT NULL,
	`n` int NOT NULL,
	`at` datetime(3) NOT NULL,
	`made_by` binary(16) NOT NULL,
	`kind` varchar(16) NOT NULL,
	`body` json NOT NULL,
	`received_at` datetime(3) NOT NULL,
	CONSTRAINT `entries_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `findings` (
	`entry` binary(16) NOT NULL,
	`run` binary(16) NOT NULL,
	`card` binary(16) NOT NULL,
	`revision` int NOT NULL,
	`core` varchar(20) NOT NULL,
	`finding` varchar(20) NOT NULL,
	`decision` varchar(20) NOT NULL,
	`summary` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `findings_entry` PRIMARY KEY(`entry`)
);
--> statement-breakpoint
CREATE TABLE `instruments` (
	`id` varchar(64) NOT NULL,
	`place` int NOT NULL,
	`body` json NOT NULL,
	CONSTRAINT `instruments_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `people` (
	`id` binary(16) NOT NULL,
	`name` varchar(200) NOT NULL,
	`role` varchar(200) NOT NULL,
	CONSTRAINT `people_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`entry` binary(16) NOT NULL,
	`run` binary(16) NOT NULL,
	`check_id` varchar(64) NOT NULL,
	`kind` varchar(12) NOT NULL,
	`text` varchar(200) NOT NULL,
	`value` double,
	`low` double,
	`high` double,
	`instrument` varchar(64),
	CONSTRAINT `readings_entry` PRIMARY KEY(`entry`)
);
--> statement-breakpoint
CREATE TABLE `run_states` (
	`run` binary(16) NOT NULL,
	`entry_count` int NOT NULL,
	`finding` varchar(20) NOT NULL,
	`closed` boolean NOT NULL,
	`came_back` boolean NOT NULL,
	`core` varchar(20) NOT NULL,
	`summary` json NOT NULL,
	`standing` json NOT NULL,
	CONSTRAINT `run_states_run` PRIMARY KEY(`run`)
);
--> statement-breakpoint
CREATE TABLE `runs` (
	`id` binary(16) NOT NULL,
	`unit` binary(16) NOT NULL,
	`card` binary(16) NOT NULL,
	`revision` int NOT NULL,
	`history` varchar(12) NOT NULL,
	`rule` varchar(12) NOT NULL,
	`instruments` json NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`started_by` binary(16) NOT NULL,
	CONSTRAINT `runs_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `settings` (
	`id` int NOT NULL,
	`body` json NOT NULL,
	CONSTRAINT `settings_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `units` (
	`id` binary(16) NOT NULL,
	`tag` varchar(200) NOT NULL,
	`serial` varchar(200),
	`variant` varchar(64),
	`history` varchar(12) NOT NULL,
	`complaint` json NOT NULL,
	`words` varchar(2000) NOT NULL,
	`came_from` varchar(200),
	`card` binary(16) NOT NULL,
	`revision` int NOT NULL,
	`place` varchar(12) NOT NULL,
	`blocked_by` varchar(200),
	`taken_in_at` datetime(3) NOT NULL,
	`taken_in_by` binary(16) NOT NULL,
	`run` binary(16),
	CONSTRAINT `units_id` PRIMARY KEY(`id`),
	CONSTRAINT `units_by_tag` UNIQUE(`tag`)
);
--> statement-breakpoint
CREATE INDEX `audit_by_time` ON `audit` (`at`);--> statement-breakpoint
CREATE INDEX `cards_by_name` ON `cards` (`maker`,`model`,`id`);--> statement-breakpoint
CREATE INDEX `check_states_by_card` ON `check_states` (`card`,`check_id`);--> statement-breakpoint
CREATE INDEX `entries_by_run` ON `entries` (`run`,`n`);--> statement-breakpoint
CREATE INDEX `findings_by_run` ON `findings` (`run`,`at`);--> statement-breakpoint
CREATE INDEX `readings_by_run` ON `readings` (`run`,`check_id`);--> statement-breakpoint
CREATE INDEX `runs_by_unit` ON `runs` (`unit`,`started_at`);--> statement-breakpoint
CREATE INDEX `runs_by_card` ON `runs` (`card`,`id`);--> statement-breakpoint
CREATE INDEX `units_by_place` ON `units` (`place`,`taken_in_at`,`id`);--> statement-breakpoint
CREATE INDEX `units_by_card` ON `units` (`card`,`id`);