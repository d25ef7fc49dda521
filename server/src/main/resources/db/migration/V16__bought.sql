-- who struck an order; those struck before it was asked have no name
alter table placed_order add column struck_by varchar(60);

-- what was logged of a kind since it was last looked at
create index log_entry_by_kind on log_entry (kind, ordinal);
