-- a build-up is a fact of its cycle: which system it was chosen from, and each layer as it is laid here

alter table zone_cycle add column system varchar(60) default '' not null;

-- there was nothing else before
update zone_cycle set system = 'epoxy-flake';

-- a layer that nobody named is called and laid as its sheet has it
alter table cycle_layer add column title varchar(60) default '' not null;
alter table cycle_layer add column role varchar(20) default '' not null;
alter table cycle_layer add column way varchar(100) default '' not null;
alter table cycle_layer add column rate varchar(80);
alter table cycle_layer add column rate_base double precision;
alter table cycle_layer add column reserve varchar(80);
alter table cycle_layer add column reserve_base double precision;

-- a step or a gate of a layer is named after the layer
alter table log_entry alter column subject set data type varchar(120);
