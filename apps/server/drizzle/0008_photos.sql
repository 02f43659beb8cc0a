CREATE TABLE `photos` (
	`id` binary(16) NOT NULL,
	`at` datetime(3) NOT NULL,
	`made_by` binary(16) NOT NULL,
	`width` int NOT NULL,
	`height` int NOT NULL,
	`sha256` char(64) NOT NULL,
	`bytes` mediumblob NOT NULL,
	`received_at` datetime(3) NOT NULL,
	`seat` binary(16),
	`seal` varchar(64),
	CONSTRAINT `photos_id` PRIMARY KEY(`id`)
);
