-- What the record adds to the curves: dates, targets, bed, profile, phases and notes. Days are ISO 8601 dates;
-- profile_steps, phases and moment_notes are texts as described in docs/formats.md.
ALTER TABLE shot ADD COLUMN roasted_on TEXT;
ALTER TABLE shot ADD COLUMN purge_g REAL;
ALTER TABLE shot ADD COLUMN profile_steps TEXT;
ALTER TABLE shot ADD COLUMN basket_capacity_g REAL;
ALTER TABLE shot ADD COLUMN bed_diameter_mm REAL;
ALTER TABLE shot ADD COLUMN bed_depth_mm REAL;
ALTER TABLE shot ADD COLUMN altitude_m REAL;
ALTER TABLE shot ADD COLUMN dose_target_g REAL;
ALTER TABLE shot ADD COLUMN beverage_target_g REAL;
ALTER TABLE shot ADD COLUMN scale_lag_s REAL;
ALTER TABLE shot ADD COLUMN phases TEXT;
ALTER TABLE shot ADD COLUMN moment_notes TEXT;
ALTER TABLE shot ADD COLUMN taste TEXT;

-- A moment more; the digests are made anew in any case.
DELETE FROM curve_digest;
ALTER TABLE curve_digest ADD COLUMN pressure_onset_s REAL;
ALTER TABLE curve_digest ADD COLUMN pressure_onset_u REAL;
ALTER TABLE curve_digest ADD COLUMN pressure_onset_how TEXT;

-- What the user chose for this library, such as the time convention; a key has one value.
CREATE TABLE setting (
    key TEXT PRIMARY KEY,
    value TEXT NOT NULL
);
