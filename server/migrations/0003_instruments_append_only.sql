CREATE TRIGGER instrument_checks_append_only BEFORE UPDATE OR DELETE ON instrument_checks FOR EACH ROW EXECUTE FUNCTION refuse_rewrite();
