-- What a record says of treatment, gear and readings beside the entries there already. strength_readings_pct holds for
-- each reading its value, then if known @seconds/sample deg C/prism deg C/filtered.
ALTER TABLE shot ADD COLUMN recipe TEXT;
ALTER TABLE shot ADD COLUMN site TEXT;
ALTER TABLE shot ADD COLUMN bag TEXT;
ALTER TABLE shot ADD COLUMN frozen_d REAL;
ALTER TABLE shot ADD COLUMN beans_treatment TEXT;
ALTER TABLE shot ADD COLUMN beans_c REAL;
ALTER TABLE shot ADD COLUMN grounds_treatment TEXT;
ALTER TABLE shot ADD COLUMN grounds_c REAL;
ALTER TABLE shot ADD COLUMN grind_to_brew_s REAL;
ALTER TABLE shot ADD COLUMN preparation TEXT;
ALTER TABLE shot ADD COLUMN switched_on_min REAL;
ALTER TABLE shot ADD COLUMN first_of_session TEXT;
ALTER TABLE shot ADD COLUMN flush_s REAL;
ALTER TABLE shot ADD COLUMN dwell_s REAL;
ALTER TABLE shot ADD COLUMN temperature_place TEXT;
ALTER TABLE shot ADD COLUMN dilution_beverage_g REAL;
ALTER TABLE shot ADD COLUMN dilution_water_g REAL;
ALTER TABLE shot ADD COLUMN refractometer_reads TEXT;
ALTER TABLE shot ADD COLUMN refractometer_line TEXT;
ALTER TABLE shot ADD COLUMN compensated_from_c REAL;
ALTER TABLE shot ADD COLUMN compensated_to_c REAL;
ALTER TABLE shot ADD COLUMN scale TEXT;

-- A shot in the bin has the moment it was put there; never: its import was undone.
ALTER TABLE shot ADD COLUMN binned_at TEXT NOT NULL DEFAULT '';

-- Coffees, bags, gear, water, sites, recipes and studies. A thing has a version for each time its parts changed; entries
-- is a JSON object of the entries by key, as in docs/formats.md. since is the first day of a version, empty for the first.
CREATE TABLE shelf_item (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    kind TEXT NOT NULL,
    name TEXT NOT NULL,
    made_at TEXT NOT NULL,
    binned_at TEXT NOT NULL DEFAULT ''
);
CREATE TABLE shelf_version (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    item_id INTEGER NOT NULL REFERENCES shelf_item (id),
    number INTEGER NOT NULL,
    since TEXT NOT NULL DEFAULT '',
    changed TEXT NOT NULL DEFAULT '',
    entries TEXT NOT NULL DEFAULT '{}',
    binned_at TEXT NOT NULL DEFAULT ''
);
CREATE INDEX shelf_version_by_item ON shelf_version (item_id);

-- Photos and other files that belong to a shot, byte for byte.
CREATE TABLE attachment (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    shot_id INTEGER NOT NULL REFERENCES shot (id),
    name TEXT NOT NULL,
    digest TEXT NOT NULL,
    bytes BLOB NOT NULL,
    added_at TEXT NOT NULL,
    binned_at TEXT NOT NULL DEFAULT ''
);
CREATE INDEX attachment_by_shot ON attachment (shot_id);

-- Every change of every entry: what, old and new value, when and why. The changes of one step are undone together.
-- target: shot, item, version or attachment. state: applied, undone, replaced (undone, then overtaken), or kept (made in
-- another library: shown, not undone).
CREATE TABLE history (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    step INTEGER NOT NULL,
    words TEXT NOT NULL,
    target TEXT NOT NULL,
    target_id INTEGER NOT NULL,
    field TEXT NOT NULL,
    before_text TEXT NOT NULL,
    after_text TEXT NOT NULL,
    reason TEXT NOT NULL DEFAULT '',
    made_at TEXT NOT NULL,
    state TEXT NOT NULL CHECK (state IN ('applied', 'undone', 'replaced', 'kept'))
);
INSERT INTO history (id, step, words, target, target_id, field, before_text, after_text, made_at, state)
    SELECT id, id, '', 'shot', shot_id, field, before_text, after_text, made_at, state FROM edit;
DROP TABLE edit;
CREATE INDEX history_by_state ON history (state, step);
CREATE INDEX history_by_target ON history (target, target_id);

-- What was found in a shot, so that it can be searched for; made anew when basis differs from the program's.
CREATE TABLE shot_finding (
    shot_id INTEGER PRIMARY KEY REFERENCES shot (id),
    basis TEXT NOT NULL,
    words TEXT NOT NULL
);

-- What the record said about the log when the digest was made.
ALTER TABLE curve_digest ADD COLUMN settings TEXT NOT NULL DEFAULT '';
