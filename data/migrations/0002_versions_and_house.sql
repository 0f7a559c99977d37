ALTER TABLE `formula_version` ADD `reason` varchar(300);--> statement-breakpoint
ALTER TABLE `kitchen` ADD `house` json;--> statement-breakpoint
ALTER TABLE `person` ADD `display` json;