-- A table of evidence is not emptied either: row triggers do not see TRUNCATE.
CREATE TRIGGER change_log_no_truncate BEFORE TRUNCATE ON change_log FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewrite();
--> statement-breakpoint
CREATE TRIGGER readings_no_truncate BEFORE TRUNCATE ON readings FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewrite();
--> statement-breakpoint
CREATE TRIGGER reading_layers_no_truncate BEFORE TRUNCATE ON reading_layers FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewrite();
--> statement-breakpoint
CREATE TRIGGER checks_no_truncate BEFORE TRUNCATE ON checks FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewrite();
--> statement-breakpoint
CREATE TRIGGER instrument_checks_no_truncate BEFORE TRUNCATE ON instrument_checks FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewrite();
