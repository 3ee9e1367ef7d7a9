-- single sounds of a speech by shares of its words; null for speeches that were made before they were kept, or of which nobody told them
alter table speech add column phones text;
