CREATE TABLE `held_files` (
	`id` binary(16) NOT NULL,
	`at` datetime(3) NOT NULL,
	`made_by` binary(16) NOT NULL,
	`body` longtext NOT NULL,
	`said` varchar(64) NOT NULL,
	CONSTRAINT `held_files_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE INDEX `held_files_by_time` ON `held_files` (`at`);