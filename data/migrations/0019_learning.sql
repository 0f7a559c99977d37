CREATE TABLE IF NOT EXISTS `learned_mark` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`about` varchar(20) NOT NULL,
	`of` varchar(90) NOT NULL,
	`kind` enum('accepted','reset','frozen','freed') NOT NULL,
	`value` double,
	`at` datetime(3) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	CONSTRAINT `learned_mark_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `reference_photo` (
	`kitchen_id` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`what` enum('colour','clarity') NOT NULL,
	`photo_id` char(26) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `reference_photo_kitchen_id_formula_id_what_pk` PRIMARY KEY(`kitchen_id`,`formula_id`,`what`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `trial` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`name` varchar(120) NOT NULL,
	`difference` varchar(300) NOT NULL,
	`version_ids` json NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`decided_at` datetime(3),
	`adopted` varchar(40),
	`decision` varchar(300) NOT NULL DEFAULT '',
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `trial_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `yield_reading` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`ingredient_id` varchar(80) NOT NULL,
	`what` enum('trimmed','per piece') NOT NULL,
	`from` double NOT NULL,
	`got_g` double NOT NULL,
	`at` datetime(3) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`undone_at` datetime(3),
	CONSTRAINT `yield_reading_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `learned_mark`
	ADD FOREIGN KEY IF NOT EXISTS `learned_mark_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`),
	ADD FOREIGN KEY IF NOT EXISTS `learned_mark_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`);
--> statement-breakpoint
ALTER TABLE `reference_photo`
	ADD FOREIGN KEY IF NOT EXISTS `reference_photo_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`),
	ADD FOREIGN KEY IF NOT EXISTS `reference_photo_photo_id_photo_id_fk` (`photo_id`) REFERENCES `photo`(`id`),
	ADD FOREIGN KEY IF NOT EXISTS `reference_photo_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`);
--> statement-breakpoint
ALTER TABLE `trial`
	ADD FOREIGN KEY IF NOT EXISTS `trial_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`),
	ADD FOREIGN KEY IF NOT EXISTS `trial_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`);
--> statement-breakpoint
ALTER TABLE `yield_reading`
	ADD FOREIGN KEY IF NOT EXISTS `yield_reading_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`),
	ADD FOREIGN KEY IF NOT EXISTS `yield_reading_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`);
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `learned_mark_by_kitchen` ON `learned_mark` (`kitchen_id`,`about`);
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `trial_of_kitchen` ON `trial` (`kitchen_id`,`at`);
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `yield_reading_by_kitchen` ON `yield_reading` (`kitchen_id`,`ingredient_id`);
