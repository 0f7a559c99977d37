ALTER TABLE `formula_version` ADD COLUMN IF NOT EXISTS `searched` text;--> statement-breakpoint
CREATE FULLTEXT INDEX IF NOT EXISTS `version_searched` ON `formula_version` (`searched`);
