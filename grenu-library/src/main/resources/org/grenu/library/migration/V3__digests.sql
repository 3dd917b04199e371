-- Results kept so that a list of shots opens at once; made anew when algorithm differs from the program's.
-- A moment is its time, standard uncertainty and source; miniature is a compressed column like those in samples.
CREATE TABLE curve_digest (
    shot_id INTEGER PRIMARY KEY REFERENCES shot (id),
    algorithm INTEGER NOT NULL,
    pump_on_s REAL, pump_on_u REAL, pump_on_how TEXT,
    first_drip_s REAL, first_drip_u REAL, first_drip_how TEXT,
    pump_off_s REAL, pump_off_u REAL, pump_off_how TEXT,
    last_drip_s REAL, last_drip_u REAL, last_drip_how TEXT,
    beverage_g REAL, beverage_u_g REAL,
    peak_pressure_bar REAL,
    mean_pressure_bar REAL,
    miniature BLOB NOT NULL,
    miniature_count INTEGER NOT NULL
);
