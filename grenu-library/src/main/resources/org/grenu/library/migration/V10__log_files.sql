-- The name of the file that a log came in is an entry like any other: shown, searched, joined by and exported.
ALTER TABLE shot ADD COLUMN file TEXT;
UPDATE shot SET file = (SELECT name FROM raw_file WHERE raw_file.id = shot.raw_file_id) WHERE raw_file_id IS NOT NULL;
