-- A change of many cues is one statement. What compares its rows before and after was planned when it first ran, mostly for a
-- single row, and that plan takes the square of their number: 10,000 cues took longer than anybody is let wait.
alter function cue_rows_changed() set enable_nestloop = off;
