CREATE TABLE IF NOT EXISTS `signature` (
	`id` char(26) NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`formula_version_id` varchar(40) NOT NULL,
	`state` enum('trial','standard','retired') NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`reason` varchar(300) NOT NULL,
	`score` double,
	CONSTRAINT `signature_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `signature` ADD CONSTRAINT `signature_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `signature_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `signature` ADD CONSTRAINT `signature_formula_version_id_formula_version_id_fk` FOREIGN KEY IF NOT EXISTS `signature_formula_version_id_formula_version_id_fk` (`formula_version_id`) REFERENCES `formula_version`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `signature` ADD CONSTRAINT `signature_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `signature_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `signature_of_version` ON `signature` (`formula_version_id`,`at`);