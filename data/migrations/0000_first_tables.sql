CREATE TABLE IF NOT EXISTS `audit` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`what` varchar(40) NOT NULL,
	`subject` varchar(40) NOT NULL,
	`detail` json NOT NULL,
	CONSTRAINT `audit_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `batch` (
	`run_id` varchar(40) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`formula_version_id` varchar(40) NOT NULL,
	`base_g` double NOT NULL,
	`planned_ml` double,
	`actual_ml` double,
	`planned_g` double,
	`actual_g` double,
	`planned_min` double,
	`actual_min` double,
	`finished_at` datetime(3) NOT NULL,
	`record` json NOT NULL,
	CONSTRAINT `batch_run_id` PRIMARY KEY(`run_id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `burner` (
	`kitchen_id` varchar(40) NOT NULL,
	`id` varchar(40) NOT NULL,
	`position` int NOT NULL,
	`document` json NOT NULL,
	CONSTRAINT `burner_kitchen_id_id_pk` PRIMARY KEY(`kitchen_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `formula` (
	`id` varchar(40) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`name` varchar(120) NOT NULL,
	`current_version_id` varchar(40) NOT NULL,
	`row_version` int NOT NULL,
	CONSTRAINT `formula_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `formula_version` (
	`id` varchar(40) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`number` int NOT NULL,
	`state` enum('draft','trial','standard','retired') NOT NULL,
	`parent_id` varchar(40),
	`document` json NOT NULL,
	`checksum` char(64) NOT NULL,
	`edited_by` varchar(40) NOT NULL,
	`edited_at` datetime(3) NOT NULL,
	`frozen_at` datetime(3),
	CONSTRAINT `formula_version_id` PRIMARY KEY(`id`),
	CONSTRAINT `formula_version_formulaId_number_unique` UNIQUE(`formula_id`,`number`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `ingredient` (
	`kitchen_id` varchar(40) NOT NULL,
	`id` varchar(40) NOT NULL,
	`name` varchar(120) NOT NULL,
	`document` json NOT NULL,
	CONSTRAINT `ingredient_kitchen_id_id_pk` PRIMARY KEY(`kitchen_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `kitchen` (
	`id` varchar(40) NOT NULL,
	`name` varchar(120) NOT NULL,
	`altitude_m` double NOT NULL,
	`ambient_c` double NOT NULL,
	`humidity` double NOT NULL,
	`time_zone` varchar(60) NOT NULL,
	`default_burner_id` varchar(40) NOT NULL,
	`facts` json NOT NULL,
	`demo` boolean NOT NULL,
	CONSTRAINT `kitchen_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `person` (
	`id` varchar(40) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`name` varchar(120) NOT NULL,
	`role` varchar(60) NOT NULL,
	`position` int NOT NULL,
	CONSTRAINT `person_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `run` (
	`id` varchar(40) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`formula_version_id` varchar(40) NOT NULL,
	`base_g` double NOT NULL,
	`burner_id` varchar(40) NOT NULL,
	`started_by` varchar(40) NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`finished_at` datetime(3),
	CONSTRAINT `run_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `run_event` (
	`id` char(26) NOT NULL,
	`run_id` varchar(40) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`clock_offset_ms` int NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`kind` varchar(20) NOT NULL,
	`payload` json NOT NULL,
	`received_at` datetime(3) NOT NULL,
	CONSTRAINT `run_event_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `vessel` (
	`kitchen_id` varchar(40) NOT NULL,
	`id` varchar(40) NOT NULL,
	`position` int NOT NULL,
	`document` json NOT NULL,
	CONSTRAINT `vessel_kitchen_id_id_pk` PRIMARY KEY(`kitchen_id`,`id`)
);
--> statement-breakpoint
ALTER TABLE `audit` ADD CONSTRAINT `audit_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `audit_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `audit` ADD CONSTRAINT `audit_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `audit_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `batch` ADD CONSTRAINT `batch_run_id_run_id_fk` FOREIGN KEY IF NOT EXISTS `batch_run_id_run_id_fk` (`run_id`) REFERENCES `run`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `batch` ADD CONSTRAINT `batch_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `batch_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `batch` ADD CONSTRAINT `batch_formula_version_id_formula_version_id_fk` FOREIGN KEY IF NOT EXISTS `batch_formula_version_id_formula_version_id_fk` (`formula_version_id`) REFERENCES `formula_version`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `burner` ADD CONSTRAINT `burner_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `burner_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `formula` ADD CONSTRAINT `formula_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `formula_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `formula_version` ADD CONSTRAINT `formula_version_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `formula_version_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `formula_version` ADD CONSTRAINT `formula_version_edited_by_person_id_fk` FOREIGN KEY IF NOT EXISTS `formula_version_edited_by_person_id_fk` (`edited_by`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `ingredient` ADD CONSTRAINT `ingredient_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `ingredient_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `person` ADD CONSTRAINT `person_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `person_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run` ADD CONSTRAINT `run_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `run_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run` ADD CONSTRAINT `run_formula_id_formula_id_fk` FOREIGN KEY IF NOT EXISTS `run_formula_id_formula_id_fk` (`formula_id`) REFERENCES `formula`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run` ADD CONSTRAINT `run_formula_version_id_formula_version_id_fk` FOREIGN KEY IF NOT EXISTS `run_formula_version_id_formula_version_id_fk` (`formula_version_id`) REFERENCES `formula_version`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run` ADD CONSTRAINT `run_started_by_person_id_fk` FOREIGN KEY IF NOT EXISTS `run_started_by_person_id_fk` (`started_by`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run_event` ADD CONSTRAINT `run_event_run_id_run_id_fk` FOREIGN KEY IF NOT EXISTS `run_event_run_id_run_id_fk` (`run_id`) REFERENCES `run`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run_event` ADD CONSTRAINT `run_event_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `run_event_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run_event` ADD CONSTRAINT `run_event_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `run_event_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `vessel` ADD CONSTRAINT `vessel_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `vessel_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `audit_by_subject` ON `audit` (`subject`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `run_by_end` ON `run` (`kitchen_id`,`finished_at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `run_event_by_run` ON `run_event` (`run_id`);