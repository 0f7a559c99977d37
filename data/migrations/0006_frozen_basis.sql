CREATE TABLE IF NOT EXISTS `forecast` (
	`hash` char(43) NOT NULL,
	`body` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `forecast_hash` PRIMARY KEY(`hash`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `frozen_basis` (
	`hash` char(43) NOT NULL,
	`parts` json NOT NULL,
	CONSTRAINT `frozen_basis_hash` PRIMARY KEY(`hash`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `frozen_part` (
	`hash` char(43) NOT NULL,
	`body` json NOT NULL,
	CONSTRAINT `frozen_part_hash` PRIMARY KEY(`hash`)
);
--> statement-breakpoint
ALTER TABLE `formula_version` ADD COLUMN IF NOT EXISTS `basis_hash` char(43);--> statement-breakpoint
ALTER TABLE `run` ADD COLUMN IF NOT EXISTS `basis_hash` char(43);