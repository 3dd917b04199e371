-- What coffee, gear and water tell of a shot counts in it, and can be entered with the shot itself; an extraction yield
-- that a file stated is kept apart from the shot's own.
ALTER TABLE shot ADD COLUMN grinder_finest REAL;
ALTER TABLE shot ADD COLUMN grinder_coarsest REAL;
ALTER TABLE shot ADD COLUMN grinder_retention_g REAL;
ALTER TABLE shot ADD COLUMN machine_warm_up_min REAL;
ALTER TABLE shot ADD COLUMN water_blank_pct REAL;
ALTER TABLE shot ADD COLUMN stated_yield_pct REAL;
ALTER TABLE shot ADD COLUMN zero_water TEXT;
ALTER TABLE shot ADD COLUMN scale_repeatability_g REAL;
ALTER TABLE shot ADD COLUMN pressure_at_rest_bar REAL;
