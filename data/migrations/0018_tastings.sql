CREATE TABLE IF NOT EXISTS `tasting` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`name` varchar(120) NOT NULL,
	`kind` enum('triangle','duo-trio','paired comparison','paired preference','ranking','scores') NOT NULL,
	`question` varchar(60) NOT NULL DEFAULT '',
	`expected` char(1) NOT NULL DEFAULT 'A',
	`samples` json NOT NULL,
	`duplicate` boolean NOT NULL DEFAULT false,
	`code` char(6) NOT NULL,
	`code_until` datetime(3) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`closed_at` datetime(3),
	`decision` varchar(300) NOT NULL DEFAULT '',
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `tasting_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `tasting_seat` (
	`tasting_id` char(26) NOT NULL,
	`place` int NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`cups` json NOT NULL,
	`token` char(64),
	`name` varchar(60) NOT NULL DEFAULT '',
	`answer` json,
	`words` varchar(300) NOT NULL DEFAULT '',
	`answered_at` datetime(3),
	CONSTRAINT `tasting_seat_tasting_id_place_pk` PRIMARY KEY(`tasting_id`,`place`)
);
--> statement-breakpoint
ALTER TABLE `tasting` ADD CONSTRAINT `tasting_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `tasting_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tasting` ADD CONSTRAINT `tasting_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `tasting_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tasting_seat` ADD CONSTRAINT `tasting_seat_tasting_id_tasting_id_fk` FOREIGN KEY IF NOT EXISTS `tasting_seat_tasting_id_tasting_id_fk` (`tasting_id`) REFERENCES `tasting`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tasting_seat` ADD CONSTRAINT `tasting_seat_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `tasting_seat_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `tasting_of_kitchen` ON `tasting` (`kitchen_id`,`at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `tasting_by_code` ON `tasting` (`code`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `log_of_run` ON `cold_log` (`kitchen_id`,`run_id`);