ALTER TABLE `formula_version` ADD COLUMN IF NOT EXISTS `reason` varchar(300);--> statement-breakpoint
ALTER TABLE `kitchen` ADD COLUMN IF NOT EXISTS `house` json;--> statement-breakpoint
ALTER TABLE `person` ADD COLUMN IF NOT EXISTS `display` json;