-- A shot may have no log, and get one later: it is a shot from the moment it is planned or written down. A column is freed of a
-- constraint in the text of its table, as SQLite's documentation has it for changes that touch no row (lang_altertable, 7): the
-- table cannot be written anew while others refer to it.
PRAGMA writable_schema = ON;
UPDATE sqlite_master SET sql = replace(replace(sql,
        'raw_file_id INTEGER NOT NULL REFERENCES', 'raw_file_id INTEGER REFERENCES'),
        'log_digest TEXT NOT NULL UNIQUE', 'log_digest TEXT UNIQUE')
    WHERE type = 'table' AND name = 'shot';
PRAGMA writable_schema = RESET;
-- planned, running or recorded.
ALTER TABLE shot ADD COLUMN state TEXT NOT NULL DEFAULT 'recorded' CHECK (state IN ('planned', 'running', 'recorded'));
