-- tags compare exactly: accents, case, signs and blanks at the end
ALTER TABLE `units` MODIFY `tag` varchar(200) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL;--> statement-breakpoint
CREATE TRIGGER `published_is_not_changed` BEFORE UPDATE ON `card_revisions` FOR EACH ROW
IF OLD.`state` = 'published' THEN
	SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a published revision never changes';
END IF;--> statement-breakpoint
CREATE TRIGGER `published_is_not_dropped` BEFORE DELETE ON `card_revisions` FOR EACH ROW
IF OLD.`state` = 'published' THEN
	SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a published revision never goes';
END IF;
