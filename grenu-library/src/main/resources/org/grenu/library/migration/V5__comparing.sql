-- What a comparison asks of the record beside the entries there already.
ALTER TABLE shot ADD COLUMN arm TEXT;
ALTER TABLE shot ADD COLUMN block TEXT;
ALTER TABLE shot ADD COLUMN machine_version TEXT;
ALTER TABLE shot ADD COLUMN water TEXT;
ALTER TABLE shot ADD COLUMN fault_on_purpose TEXT;
