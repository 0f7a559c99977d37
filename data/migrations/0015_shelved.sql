ALTER TABLE `formula_version` ADD COLUMN IF NOT EXISTS `family` varchar(60) GENERATED ALWAYS AS (json_value(`document`, '$.family')) STORED;--> statement-breakpoint
ALTER TABLE `formula_version` ADD COLUMN IF NOT EXISTS `shelved_at` datetime(3);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `version_shelved` ON `formula_version` (`kitchen_id`,`shelved_at`,`state`,`family`,`formula_id`,`number`,`edited_by`);--> statement-breakpoint
UPDATE `formula_version` v SET `shelved_at` = coalesce((SELECT min(r.`started_at`) FROM `run` r WHERE r.`formula_version_id` = v.`id` AND r.`rehearsal` IS NULL), (SELECT min(s.`at`) FROM `signature` s WHERE s.`formula_version_id` = v.`id`)) WHERE v.`shelved_at` IS NULL;
