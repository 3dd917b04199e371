-- Files as they were imported, byte for byte.
CREATE TABLE raw_file (
    id INTEGER PRIMARY KEY,
    name TEXT NOT NULL,
    digest TEXT NOT NULL,
    bytes BLOB NOT NULL,
    imported_at TEXT NOT NULL
);

-- One row a shot: its record, a column an entry; empty means unknown. Units are in the names.
-- Lists are joined by "; ", flags are yes or no, moments are ISO 8601 local times, extras a JSON object.
CREATE TABLE shot (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    number INTEGER NOT NULL UNIQUE,
    raw_file_id INTEGER NOT NULL REFERENCES raw_file (id),
    log_digest TEXT NOT NULL UNIQUE,
    imported_at TEXT NOT NULL,
    extras TEXT,
    study TEXT,
    name TEXT,
    pulled_at TEXT,
    operator TEXT,
    coffee TEXT,
    grinder TEXT,
    grind REAL,
    temperature_c REAL,
    profile TEXT,
    machine TEXT,
    basket TEXT,
    dose_g REAL,
    beverage_g REAL,
    moisture_pct REAL,
    moisture_u_pct REAL,
    strength_readings_pct TEXT,
    strength_zero_pct REAL,
    refractometer TEXT,
    refractometer_resolution_pct REAL,
    refractometer_repeatability_pct REAL,
    refractometer_bias_pct REAL,
    sample_filtered TEXT,
    scale_resolution_g REAL,
    scale_bias_g REAL,
    pump_on_s REAL,
    pump_off_s REAL,
    repairs_off TEXT,
    fault TEXT,
    simulated TEXT,
    note TEXT
);

-- The log's columns: 64-bit floating point, little-endian, zlib-compressed; NaN is a missing sample.
-- channel is time or the name of a channel; units are s, bar, mL/s, g/s, g, deg C.
CREATE TABLE samples (
    shot_id INTEGER NOT NULL REFERENCES shot (id),
    channel TEXT NOT NULL,
    count INTEGER NOT NULL,
    data BLOB NOT NULL,
    PRIMARY KEY (shot_id, channel)
);
