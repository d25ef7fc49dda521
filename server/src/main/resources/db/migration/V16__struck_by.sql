-- who struck an order; those struck before it was asked have no name
alter table placed_order add column struck_by varchar(60);
