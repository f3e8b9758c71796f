CREATE TRIGGER `log_no_update` BEFORE UPDATE ON `log` BEGIN SELECT RAISE(ABORT, 'the log is only ever added to'); END;
--> statement-breakpoint
CREATE TRIGGER `log_no_delete` BEFORE DELETE ON `log` BEGIN SELECT RAISE(ABORT, 'the log is only ever added to'); END;
