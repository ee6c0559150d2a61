-- What was observed and what was changed is never rewritten: a correction is a new row that supersedes the old one.
CREATE FUNCTION refuse_rewrite() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION '% is append-only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
--> statement-breakpoint
CREATE TRIGGER change_log_append_only BEFORE UPDATE OR DELETE ON change_log FOR EACH ROW EXECUTE FUNCTION refuse_rewrite();
--> statement-breakpoint
CREATE TRIGGER readings_append_only BEFORE UPDATE OR DELETE ON readings FOR EACH ROW EXECUTE FUNCTION refuse_rewrite();
--> statement-breakpoint
CREATE TRIGGER reading_layers_append_only BEFORE UPDATE OR DELETE ON reading_layers FOR EACH ROW EXECUTE FUNCTION refuse_rewrite();
--> statement-breakpoint
CREATE TRIGGER checks_append_only BEFORE UPDATE OR DELETE ON checks FOR EACH ROW EXECUTE FUNCTION refuse_rewrite();
