CREATE TABLE IF NOT EXISTS `device` (
	`kitchen_id` varchar(40) NOT NULL,
	`key` varchar(40) NOT NULL,
	`name` varchar(80) NOT NULL,
	`kind` enum('scale','stick','probe','refractometer','ph meter','spread plate') NOT NULL,
	`secret_hash` char(64) NOT NULL,
	`value` double,
	`unit` varchar(8),
	`read_at` datetime(3),
	`readings` bigint NOT NULL DEFAULT 0,
	CONSTRAINT `device_key` PRIMARY KEY(`key`)
);
--> statement-breakpoint
ALTER TABLE `run` ADD COLUMN IF NOT EXISTS `rehearsal` json;--> statement-breakpoint
ALTER TABLE `device` ADD CONSTRAINT `device_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `device_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `device_by_kitchen` ON `device` (`kitchen_id`);