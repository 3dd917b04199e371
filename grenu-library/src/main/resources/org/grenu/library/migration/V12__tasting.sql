-- Tasting notes picked from words, liking, how a shot was tasted and served.
ALTER TABLE shot ADD COLUMN tasting TEXT;
ALTER TABLE shot ADD COLUMN liking REAL;
ALTER TABLE shot ADD COLUMN tasted_as TEXT;
ALTER TABLE shot ADD COLUMN tasted_c REAL;
ALTER TABLE shot ADD COLUMN tasting_kind TEXT;
ALTER TABLE shot ADD COLUMN served_as TEXT;
