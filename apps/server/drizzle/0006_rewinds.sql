CREATE TABLE `rewind_entries` (
	`id` binary(16) NOT NULL,
	`rewind` binary(16) NOT NULL,
	`n` int NOT NULL,
	`at` datetime(3) NOT NULL,
	`made_by` binary(16) NOT NULL,
	`kind` varchar(16) NOT NULL,
	`body` json NOT NULL,
	`received_at` datetime(3) NOT NULL,
	`seat` binary(16),
	`seal` varchar(64),
	CONSTRAINT `rewind_entries_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `rewinds` (
	`id` binary(16) NOT NULL,
	`unit` binary(16) NOT NULL,
	`card` binary(16) NOT NULL,
	`run_before` binary(16),
	`started_at` datetime(3) NOT NULL,
	`started_by` binary(16) NOT NULL,
	`instruments` json NOT NULL,
	`coils` json NOT NULL,
	CONSTRAINT `rewinds_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE INDEX `rewind_entries_by_rewind` ON `rewind_entries` (`rewind`,`n`);--> statement-breakpoint
CREATE INDEX `rewinds_by_unit` ON `rewinds` (`unit`,`started_at`,`id`);--> statement-breakpoint
CREATE INDEX `rewinds_by_card` ON `rewinds` (`card`,`started_at`,`id`);