ALTER TABLE `kitchen` ADD COLUMN IF NOT EXISTS `revision` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `kitchen` ADD COLUMN IF NOT EXISTS `names_revision` int DEFAULT 1 NOT NULL;