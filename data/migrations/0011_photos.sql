CREATE TABLE IF NOT EXISTS `photo` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`run_id` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`step_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`jpeg` mediumblob NOT NULL,
	CONSTRAINT `photo_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `photo` ADD CONSTRAINT `photo_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `photo_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `photo` ADD CONSTRAINT `photo_run_id_run_id_fk` FOREIGN KEY IF NOT EXISTS `photo_run_id_run_id_fk` (`run_id`) REFERENCES `run`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `photo` ADD CONSTRAINT `photo_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `photo_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `photo_by_step` ON `photo` (`formula_id`,`step_id`,`at`);