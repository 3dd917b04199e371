-- Notes that the coffee was expected to have, where a shot says so itself.
ALTER TABLE shot ADD COLUMN coffee_expected_notes TEXT;
