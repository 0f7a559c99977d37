CREATE TABLE IF NOT EXISTS `appliance` (
	`kitchen_id` varchar(40) NOT NULL,
	`id` varchar(40) NOT NULL,
	`position` int NOT NULL,
	`document` json NOT NULL,
	`row_version` int NOT NULL DEFAULT 1,
	CONSTRAINT `appliance_kitchen_id_id_pk` PRIMARY KEY(`kitchen_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `ingredient_price` (
	`kitchen_id` varchar(40) NOT NULL,
	`ingredient_id` varchar(40) NOT NULL,
	`since` date NOT NULL,
	`per_kg` double NOT NULL,
	`currency` char(3) NOT NULL,
	`source` json NOT NULL,
	CONSTRAINT `ingredient_price_kitchen_id_ingredient_id_since_pk` PRIMARY KEY(`kitchen_id`,`ingredient_id`,`since`)
);
--> statement-breakpoint
ALTER TABLE `burner` ADD COLUMN IF NOT EXISTS `row_version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `ingredient` ADD COLUMN IF NOT EXISTS `row_version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `kitchen` ADD COLUMN IF NOT EXISTS `pressure_pa` double;--> statement-breakpoint
ALTER TABLE `kitchen` ADD COLUMN IF NOT EXISTS `row_version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `vessel` ADD COLUMN IF NOT EXISTS `row_version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `appliance` ADD CONSTRAINT `appliance_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `appliance_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `ingredient_price` ADD CONSTRAINT `ingredient_price_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `ingredient_price_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;