CREATE TABLE `benches` (
	`id` binary(16) NOT NULL,
	`name` varchar(200) NOT NULL,
	`kind` varchar(12) NOT NULL,
	`token` varchar(64) NOT NULL,
	`joined_at` datetime(3) NOT NULL,
	`seen_at` datetime(3) NOT NULL,
	`ended_at` datetime(3),
	CONSTRAINT `benches_id` PRIMARY KEY(`id`),
	CONSTRAINT `benches_by_token` UNIQUE(`token`)
);
--> statement-breakpoint
CREATE TABLE `guesses` (
	`who` varchar(100) NOT NULL,
	`failures` int NOT NULL,
	`until` datetime(3) NOT NULL,
	CONSTRAINT `guesses_who` PRIMARY KEY(`who`)
);
--> statement-breakpoint
CREATE TABLE `join_codes` (
	`code` varchar(64) NOT NULL,
	`made_by` binary(16) NOT NULL,
	`ends_at` datetime(3) NOT NULL,
	`used_at` datetime(3),
	CONSTRAINT `join_codes_code` PRIMARY KEY(`code`)
);
--> statement-breakpoint
CREATE TABLE `seats` (
	`id` binary(16) NOT NULL,
	`bench` binary(16) NOT NULL,
	`person` binary(16) NOT NULL,
	`seal_key` varchar(64) NOT NULL,
	`begun_at` datetime(3) NOT NULL,
	`seen_at` datetime(3) NOT NULL,
	`ends_at` datetime(3) NOT NULL,
	`ended_at` datetime(3),
	`revoked` boolean NOT NULL DEFAULT false,
	CONSTRAINT `seats_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `secrets` (
	`person` binary(16) NOT NULL,
	`pin` varchar(200),
	`password` varchar(200),
	`changed_at` datetime(3) NOT NULL,
	CONSTRAINT `secrets_person` PRIMARY KEY(`person`)
);
--> statement-breakpoint
ALTER TABLE `audit` ADD `bench` binary(16);--> statement-breakpoint
ALTER TABLE `entries` ADD `seat` binary(16);--> statement-breakpoint
ALTER TABLE `entries` ADD `seal` varchar(64);--> statement-breakpoint
ALTER TABLE `people` ADD `access` varchar(12) DEFAULT 'technician' NOT NULL;--> statement-breakpoint
CREATE INDEX `seats_by_bench` ON `seats` (`bench`,`ended_at`);--> statement-breakpoint
CREATE INDEX `seats_by_person` ON `seats` (`person`);--> statement-breakpoint
-- a shop from before anybody signed in: whoever entered themselves first owns it
UPDATE `people` SET `access` = 'owner' ORDER BY `id` LIMIT 1;
