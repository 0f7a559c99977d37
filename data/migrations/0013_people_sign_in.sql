CREATE TABLE IF NOT EXISTS `credential` (
	`person_id` varchar(40) NOT NULL,
	`password_hash` varchar(200),
	`pin_hash` varchar(200),
	`changed_at` datetime(3) NOT NULL,
	CONSTRAINT `credential_person_id` PRIMARY KEY(`person_id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `session` (
	`id` char(43) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`tablet_id` char(43),
	`way` enum('password','pin') NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`seen_at` datetime(3) NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	CONSTRAINT `session_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `sign_in_try` (
	`key` varchar(255) NOT NULL,
	`points` int NOT NULL DEFAULT 0,
	`expire` bigint unsigned,
	CONSTRAINT `sign_in_try_key` PRIMARY KEY(`key`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `tablet` (
	`id` char(43) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`name` varchar(60) NOT NULL,
	`added_by` varchar(40) NOT NULL,
	`added_at` datetime(3) NOT NULL,
	CONSTRAINT `tablet_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `person` ADD COLUMN IF NOT EXISTS `rank` enum('chef','cook','trainee','viewer') DEFAULT 'viewer' NOT NULL;--> statement-breakpoint
ALTER TABLE `person` ADD COLUMN IF NOT EXISTS `login` varchar(60);--> statement-breakpoint
ALTER TABLE `person` ADD COLUMN IF NOT EXISTS `left_at` datetime(3);--> statement-breakpoint
ALTER TABLE `person` ADD UNIQUE INDEX IF NOT EXISTS `person_login` (`login`);--> statement-breakpoint
ALTER TABLE `credential` ADD CONSTRAINT `credential_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `credential_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `session` ADD CONSTRAINT `session_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `session_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `session` ADD CONSTRAINT `session_tablet_id_tablet_id_fk` FOREIGN KEY IF NOT EXISTS `session_tablet_id_tablet_id_fk` (`tablet_id`) REFERENCES `tablet`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tablet` ADD CONSTRAINT `tablet_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `tablet_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tablet` ADD CONSTRAINT `tablet_added_by_person_id_fk` FOREIGN KEY IF NOT EXISTS `tablet_added_by_person_id_fk` (`added_by`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `session_of_person` ON `session` (`person_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `audit_of_kitchen` ON `audit` (`kitchen_id`,`at`);--> statement-breakpoint
UPDATE `person` SET `rank` = IF(`role` LIKE '%chef%', 'chef', IF(`role` LIKE 'commis%', 'trainee', 'cook')) WHERE `login` IS NULL;--> statement-breakpoint
UPDATE `person` SET `login` = `id` WHERE `login` IS NULL;
