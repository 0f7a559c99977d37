CREATE TABLE IF NOT EXISTS `run_log` (
	`kitchen_id` varchar(40) NOT NULL,
	`seq` bigint NOT NULL,
	CONSTRAINT `run_log_kitchen_id` PRIMARY KEY(`kitchen_id`)
);
--> statement-breakpoint
ALTER TABLE `run` ADD COLUMN IF NOT EXISTS `abandoned` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `run_event` ADD COLUMN IF NOT EXISTS `payload_version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `run_event` ADD COLUMN IF NOT EXISTS `seq` bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `run_log` ADD CONSTRAINT `run_log_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `run_log_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `run_event_by_seq` ON `run_event` (`kitchen_id`,`seq`);--> statement-breakpoint
UPDATE `run_event` JOIN (SELECT `id`, ROW_NUMBER() OVER (PARTITION BY `kitchen_id` ORDER BY `received_at`, `id`) AS `n` FROM `run_event`) AS `counted` ON `counted`.`id` = `run_event`.`id` SET `seq` = `counted`.`n` WHERE `seq` = 0;--> statement-breakpoint
INSERT INTO `run_log` SELECT `kitchen_id`, MAX(`seq`) FROM `run_event` GROUP BY `kitchen_id` ON DUPLICATE KEY UPDATE `seq` = GREATEST(`run_log`.`seq`, VALUES(`seq`));