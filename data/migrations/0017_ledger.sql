CREATE TABLE IF NOT EXISTS `batch_cause` (
	`kitchen_id` varchar(40) NOT NULL,
	`run_id` varchar(40) NOT NULL,
	`figure` varchar(20) NOT NULL,
	`words` varchar(200) NOT NULL,
	`person_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `batch_cause_run_id_figure_pk` PRIMARY KEY(`run_id`,`figure`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `batch_line` (
	`run_id` varchar(40) NOT NULL,
	`place` int NOT NULL,
	`kitchen_id` varchar(40) NOT NULL,
	`formula_id` varchar(40) NOT NULL,
	`line_id` varchar(40) NOT NULL,
	`mass_g` double NOT NULL,
	`base_g` double NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `batch_line_run_id_place_pk` PRIMARY KEY(`run_id`,`place`)
);
--> statement-breakpoint
ALTER TABLE `batch`
	ADD COLUMN IF NOT EXISTS `formula_id` varchar(40) DEFAULT '' NOT NULL,
	ADD COLUMN IF NOT EXISTS `person_id` varchar(40) DEFAULT '' NOT NULL,
	ADD COLUMN IF NOT EXISTS `burner_id` varchar(40) DEFAULT '' NOT NULL,
	ADD COLUMN IF NOT EXISTS `vessel_id` varchar(40),
	ADD COLUMN IF NOT EXISTS `brix_planned` double,
	ADD COLUMN IF NOT EXISTS `brix` double,
	ADD COLUMN IF NOT EXISTS `ph` double,
	ADD COLUMN IF NOT EXISTS `salt_planned` double,
	ADD COLUMN IF NOT EXISTS `salt` double,
	ADD COLUMN IF NOT EXISTS `body_planned` double,
	ADD COLUMN IF NOT EXISTS `body` double,
	ADD COLUMN IF NOT EXISTS `score` double,
	ADD COLUMN IF NOT EXISTS `cost` double,
	ADD COLUMN IF NOT EXISTS `incidents` int DEFAULT 0 NOT NULL,
	ADD COLUMN IF NOT EXISTS `lost_g` double,
	ADD COLUMN IF NOT EXISTS `lost_cost` double,
	ADD COLUMN IF NOT EXISTS `yield_off` double GENERATED ALWAYS AS ((actual_g / nullif(planned_g, 0) - 1)) STORED,
	ADD COLUMN IF NOT EXISTS `time_off` double GENERATED ALWAYS AS ((actual_min / nullif(planned_min, 0) - 1)) STORED;--> statement-breakpoint
ALTER TABLE `batch_cause` ADD CONSTRAINT `batch_cause_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `batch_cause_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `batch_cause` ADD CONSTRAINT `batch_cause_run_id_run_id_fk` FOREIGN KEY IF NOT EXISTS `batch_cause_run_id_run_id_fk` (`run_id`) REFERENCES `run`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `batch_cause` ADD CONSTRAINT `batch_cause_person_id_person_id_fk` FOREIGN KEY IF NOT EXISTS `batch_cause_person_id_person_id_fk` (`person_id`) REFERENCES `person`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `batch_line` ADD CONSTRAINT `batch_line_run_id_run_id_fk` FOREIGN KEY IF NOT EXISTS `batch_line_run_id_run_id_fk` (`run_id`) REFERENCES `run`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `batch_line` ADD CONSTRAINT `batch_line_kitchen_id_kitchen_id_fk` FOREIGN KEY IF NOT EXISTS `batch_line_kitchen_id_kitchen_id_fk` (`kitchen_id`) REFERENCES `kitchen`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `line_of_formula` ON `batch_line` (`kitchen_id`,`formula_id`,`at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `log_of_run` ON `cold_log` (`kitchen_id`,`run_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `batch_by_end` ON `batch` (`kitchen_id`,`finished_at`,`run_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `batch_of_formula` ON `batch` (`kitchen_id`,`formula_id`,`finished_at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `batch_of_version` ON `batch` (`formula_version_id`,`finished_at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `batch_by_yield` ON `batch` (`kitchen_id`,`yield_off`,`run_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `batch_by_time` ON `batch` (`kitchen_id`,`time_off`,`run_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `batch_by_loss` ON `batch` (`kitchen_id`,`incidents`,`finished_at`);--> statement-breakpoint
UPDATE `batch` b INNER JOIN `run` r ON r.`id` = b.`run_id` SET
	b.`formula_id` = r.`formula_id`,
	b.`person_id` = r.`started_by`,
	b.`burner_id` = r.`burner_id`,
	b.`body_planned` = json_value(b.`record`, '$.thickness.planned'),
	b.`body` = json_value(b.`record`, '$.thickness.actual'),
	b.`score` = json_value(b.`record`, '$.score'),
	b.`incidents` = coalesce(json_length(b.`record`, '$.incidents'), 0)
WHERE b.`formula_id` = '';--> statement-breakpoint
INSERT IGNORE INTO `batch_line` (`run_id`, `place`, `kitchen_id`, `formula_id`, `line_id`, `mass_g`, `base_g`, `at`)
SELECT e.`run_id`, row_number() OVER (PARTITION BY e.`run_id` ORDER BY e.`at`, e.`id`) - 1, e.`kitchen_id`, r.`formula_id`,
	json_value(e.`payload`, '$.lineId'), json_value(e.`payload`, '$.massG'), r.`base_g`, b.`finished_at`
FROM `run_event` e
INNER JOIN `run` r ON r.`id` = e.`run_id`
INNER JOIN `batch` b ON b.`run_id` = e.`run_id`
WHERE e.`kind` = 'added' AND json_value(e.`payload`, '$.massG') IS NOT NULL
	AND NOT EXISTS (SELECT 1 FROM `run_event` u WHERE u.`run_id` = e.`run_id` AND u.`kind` = 'undone' AND json_value(u.`payload`, '$.eventId') = e.`id`);
