-- Who tasted a shot.
ALTER TABLE shot ADD COLUMN taster TEXT;
