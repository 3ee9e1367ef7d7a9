-- Reading picture times also changes the slots without a cue: undoing it brings them back.
alter table place_edit
    add column slots_before jsonb,
    add column slots_after jsonb;
