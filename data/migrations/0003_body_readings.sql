CREATE TABLE IF NOT EXISTS `body_reading` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`family` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`formula_name` varchar(120) NOT NULL,
	`forecast` double NOT NULL,
	`test` varchar(20) NOT NULL,
	`reading` double NOT NULL,
	`temperature_c` double NOT NULL,
	`measured` double NOT NULL,
	`at` datetime(3) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`undone_at` datetime(3),
	CONSTRAINT `body_reading_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `body_reading` ADD CONSTRAINT `body_reading_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `body_reading_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `body_reading` ADD CONSTRAINT `body_reading_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `body_reading_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `body_reading_by_kitchen` ON `body_reading` (`kitchen_id`,`family`);