CREATE TABLE `card_tallies` (
	`card` binary(16) NOT NULL,
	`taken_in` int NOT NULL,
	`tested` int NOT NULL,
	`fault_found` int NOT NULL,
	`undecided` int NOT NULL,
	`no_fault_found` int NOT NULL,
	`came_back` int NOT NULL,
	`back_after_pass` int NOT NULL,
	`cured_by_exchange` int NOT NULL,
	CONSTRAINT `card_tallies_card` PRIMARY KEY(`card`)
);
--> statement-breakpoint
DROP INDEX `check_states_by_card` ON `check_states`;--> statement-breakpoint
ALTER TABLE `run_states` ADD `card` binary(16) NOT NULL;--> statement-breakpoint
ALTER TABLE `run_states` ADD `started_at` datetime(3) NOT NULL DEFAULT '2000-01-01';--> statement-breakpoint
ALTER TABLE `run_states` ADD `cured` boolean NOT NULL;--> statement-breakpoint
UPDATE `run_states` `s` JOIN `runs` `r` ON `r`.`id` = `s`.`run` SET
	`s`.`card` = `r`.`card`,
	`s`.`started_at` = `r`.`started_at`,
	`s`.`cured` = `s`.`finding` = 'no-fault-found'
		AND coalesce(json_value(`s`.`standing`, '$.decision') = 'exchange', false)
		AND coalesce(json_value(`s`.`standing`, '$.outcome') = 'ran-well', false);--> statement-breakpoint
ALTER TABLE `run_states` ALTER `started_at` DROP DEFAULT;--> statement-breakpoint
CREATE INDEX `units_by_time` ON `units` (`taken_in_at`,`id`,`tag`);--> statement-breakpoint
CREATE INDEX `run_states_by_card` ON `run_states` (`card`,`closed`,`started_at`,`run`);--> statement-breakpoint
ALTER TABLE `check_states` DROP COLUMN `card`;--> statement-breakpoint
INSERT INTO `card_tallies`
SELECT `u`.`card`, `u`.`taken_in`, coalesce(`t`.`tested`, 0), coalesce(`t`.`fault_found`, 0), coalesce(`t`.`undecided`, 0),
	coalesce(`t`.`no_fault_found`, 0), coalesce(`t`.`came_back`, 0), coalesce(`t`.`back_after_pass`, 0), coalesce(`t`.`cured`, 0)
FROM (SELECT `card`, count(*) AS `taken_in` FROM `units` GROUP BY `card`) `u`
LEFT JOIN (
	SELECT `s`.`card`, count(DISTINCT `r`.`unit`) AS `tested`,
		sum(`s`.`finding` = 'fault-found') AS `fault_found`, sum(`s`.`finding` = 'undecided') AS `undecided`,
		sum(`s`.`finding` = 'no-fault-found') AS `no_fault_found`, sum(`s`.`came_back`) AS `came_back`,
		sum(`s`.`came_back` AND `s`.`finding` = 'no-fault-found') AS `back_after_pass`, sum(`s`.`cured`) AS `cured`
	FROM `run_states` `s` JOIN `runs` `r` ON `r`.`id` = `s`.`run` WHERE `s`.`closed` GROUP BY `s`.`card`
) `t` ON `t`.`card` = `u`.`card`;
