-- What the shelf tells of coffee, grinder and water, and whether a study's order was drawn by lot: comparisons look at them too.
ALTER TABLE shot ADD COLUMN order_drawn TEXT;
ALTER TABLE shot ADD COLUMN coffee_roast_level TEXT;
ALTER TABLE shot ADD COLUMN coffee_process TEXT;
ALTER TABLE shot ADD COLUMN coffee_colour_whole REAL;
ALTER TABLE shot ADD COLUMN coffee_colour_ground REAL;
ALTER TABLE shot ADD COLUMN coffee_density_g_per_l REAL;
ALTER TABLE shot ADD COLUMN grinder_burrs TEXT;
ALTER TABLE shot ADD COLUMN water_hardness_mg_l REAL;
ALTER TABLE shot ADD COLUMN water_alkalinity_mg_l REAL;
-- What a basket is made for, as a range.
ALTER TABLE shot ADD COLUMN basket_from_g REAL;
ALTER TABLE shot ADD COLUMN basket_to_g REAL;
