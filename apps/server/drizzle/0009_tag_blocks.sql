CREATE TABLE `tag_blocks` (
	`prefix` varchar(20) NOT NULL,
	`first` int NOT NULL,
	`last` int NOT NULL,
	`reserved_by` binary(16) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `tag_blocks_prefix_first_pk` PRIMARY KEY(`prefix`,`first`)
);
