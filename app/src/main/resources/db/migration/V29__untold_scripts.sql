-- What became of a script in a watched folder, where nothing can be written beside it.
alter table dropped_script add column untold text;
