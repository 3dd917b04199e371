-- Every correction of an entry, old value, new value and when. state: applied, undone, or replaced
-- (undone, then overtaken by another edit, so that it cannot be redone any more).
CREATE TABLE edit (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    shot_id INTEGER NOT NULL REFERENCES shot (id),
    field TEXT NOT NULL,
    before_text TEXT NOT NULL,
    after_text TEXT NOT NULL,
    made_at TEXT NOT NULL,
    state TEXT NOT NULL CHECK (state IN ('applied', 'undone', 'replaced'))
);
CREATE INDEX edit_by_state ON edit (state, id);
