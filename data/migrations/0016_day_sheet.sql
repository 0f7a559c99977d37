CREATE TABLE IF NOT EXISTS `closed_time` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`resource` varchar(60) NOT NULL,
	`starts_at` datetime(3) NOT NULL,
	`ends_at` datetime(3) NOT NULL,
	`why` varchar(120) NOT NULL,
	`uid` varchar(200),
	CONSTRAINT `closed_time_id` PRIMARY KEY(`id`),
	CONSTRAINT `closed_uid` UNIQUE(`kitchen_id`,`uid`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `cold_entry` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`log_id` char(26) NOT NULL,
	`at` datetime(3) NOT NULL,
	`kind` enum('probe','action','closed') NOT NULL,
	`c` double,
	`device_id` varchar(40),
	`words` varchar(300) NOT NULL DEFAULT '',
	`person_id` varchar(40) NOT NULL,
	`received_at` datetime(3) NOT NULL,
	CONSTRAINT `cold_entry_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `cold_log` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`kind` enum('cooling','holding','reheating','tempering') NOT NULL,
	`name` varchar(120) NOT NULL,
	`run_id` varchar(40),
	`lot_id` char(26),
	`profile` enum('fda','uk','cook-chill') NOT NULL,
	`method` enum('ice-bath','walk-in','walk-in-fan','room','blast','ice-bath-still','running-water','ice-wand'),
	`vessel_id` varchar(40),
	`mass_g` double,
	`limit_c` double,
	`limit_min` double,
	`demo` boolean NOT NULL DEFAULT false,
	`started_at` datetime(3) NOT NULL,
	`started_by` varchar(40) NOT NULL,
	CONSTRAINT `cold_log_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `day` (
	`kitchen_id` varchar(40) NOT NULL,
	`date` date NOT NULL,
	`service_min` int NOT NULL,
	`lasts_min` int NOT NULL DEFAULT 240,
	`cooks` json NOT NULL,
	`without` json NOT NULL,
	`at_night` boolean NOT NULL DEFAULT false,
	`note` varchar(600) NOT NULL DEFAULT '',
	CONSTRAINT `day_kitchen_id_date_pk` PRIMARY KEY(`kitchen_id`,`date`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `day_pin` (
	`kitchen_id` varchar(40) NOT NULL,
	`date` date NOT NULL,
	`job_id` varchar(80) NOT NULL,
	`start_min` int NOT NULL,
	`minutes` int,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `day_pin_kitchen_id_date_job_id_pk` PRIMARY KEY(`kitchen_id`,`date`,`job_id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `day_tick` (
	`kitchen_id` varchar(40) NOT NULL,
	`date` date NOT NULL,
	`item` varchar(160) NOT NULL,
	`done` boolean NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `day_tick_kitchen_id_date_item_pk` PRIMARY KEY(`kitchen_id`,`date`,`item`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `left_over` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`date` date NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`mass_g` double NOT NULL,
	`person_id` varchar(40) NOT NULL,
	CONSTRAINT `left_over_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `lot` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`name` varchar(120) NOT NULL,
	`formula_id` varchar(40),
	`run_id` varchar(40),
	`made_on` date NOT NULL,
	`keep_days` int NOT NULL,
	`keep_c` double NOT NULL,
	`allergens` json,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `lot_id` PRIMARY KEY(`id`),
	CONSTRAINT `lot_of_run` UNIQUE(`kitchen_id`,`run_id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `lot_movement` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`lot_id` char(26) NOT NULL,
	`at` datetime(3) NOT NULL,
	`kind` enum('made','used','wasted','counted','frozen','thawed','moved','poured in','poured out') NOT NULL,
	`mass_g` double NOT NULL,
	`other_lot_id` char(26),
	`place` varchar(80),
	`person_id` varchar(40) NOT NULL,
	`note` varchar(200) NOT NULL DEFAULT '',
	CONSTRAINT `lot_movement_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `menu_line` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`date` date NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`covers` int NOT NULL,
	`portion_g` double,
	`overage_pct` double NOT NULL,
	`loss_pct` double NOT NULL,
	`ready_min` int NOT NULL,
	CONSTRAINT `menu_line_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `par_level` (
	`kitchen_id` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`par_g` double NOT NULL,
	`batch_g` double,
	CONSTRAINT `par_level_kitchen_id_formula_id_pk` PRIMARY KEY(`kitchen_id`,`formula_id`)
);
--> statement-breakpoint
ALTER TABLE `closed_time` ADD CONSTRAINT `closed_time_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `closed_time_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `cold_entry` ADD CONSTRAINT `cold_entry_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `cold_entry_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `cold_entry` ADD CONSTRAINT `cold_entry_log_id_cold_log_id_fk` FOREIGN KEY IF NOT EXISTS `cold_entry_log_id_cold_log_id_fk` (`log_id`) REFERENCES `cold_log`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `cold_entry` ADD CONSTRAINT `cold_entry_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `cold_entry_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `cold_log` ADD CONSTRAINT `cold_log_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `cold_log_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `cold_log` ADD CONSTRAINT `cold_log_started_by_person_id_fk` FOREIGN KEY IF NOT EXISTS `cold_log_started_by_person_id_fk` (`started_by`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `day` ADD CONSTRAINT `day_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `day_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `day_pin` ADD CONSTRAINT `day_pin_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `day_pin_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `day_pin` ADD CONSTRAINT `day_pin_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `day_pin_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `day_tick` ADD CONSTRAINT `day_tick_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `day_tick_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `day_tick` ADD CONSTRAINT `day_tick_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `day_tick_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `left_over` ADD CONSTRAINT `left_over_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `left_over_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `left_over` ADD CONSTRAINT `left_over_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `left_over_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `lot` ADD CONSTRAINT `lot_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `lot_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `lot` ADD CONSTRAINT `lot_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `lot_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `lot_movement` ADD CONSTRAINT `lot_movement_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `lot_movement_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `lot_movement` ADD CONSTRAINT `lot_movement_lot_id_lot_id_fk` FOREIGN KEY IF NOT EXISTS `lot_movement_lot_id_lot_id_fk` (`lot_id`) REFERENCES `lot`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `lot_movement` ADD CONSTRAINT `lot_movement_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `lot_movement_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `menu_line` ADD CONSTRAINT `menu_line_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `menu_line_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `par_level` ADD CONSTRAINT `par_level_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `par_level_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `entry_of_log` ON `cold_entry` (`kitchen_id`,`log_id`,`at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `log_of_kitchen` ON `cold_log` (`kitchen_id`,`started_at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `left_of_day` ON `left_over` (`kitchen_id`,`date`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `lot_of_formula` ON `lot` (`kitchen_id`,`formula_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `movement_of_lot` ON `lot_movement` (`kitchen_id`,`lot_id`,`at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `menu_of_day` ON `menu_line` (`kitchen_id`,`date`);