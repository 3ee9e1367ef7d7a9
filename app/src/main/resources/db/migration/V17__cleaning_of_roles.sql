-- How a role's recordings were cleaned last: the next ones begin with it.
alter table role add column cleaning jsonb;
