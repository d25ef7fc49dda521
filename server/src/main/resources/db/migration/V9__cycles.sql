-- a floor is worked on more than once: what was done, coated and tested belongs to the cycle it was done in

create table zone_cycle (
    zone_id uuid not null references zone (id),
    number integer not null,
    kind varchar(20) not null,
    began_at timestamp(6) with time zone not null,
    begun_by varchar(60) not null,
    why varchar(2000) not null,
    patch varchar(80),
    patch_m2 double precision,
    primary key (zone_id, number)
);

insert into zone_cycle (zone_id, number, kind, began_at, begun_by, why)
select z.id, 1, 'COAT', j.created_at, '', '' from zone z join job j on j.id = z.job_id;

create table cycle_layer (
    zone_id uuid not null references zone (id),
    cycle integer not null,
    ordinal integer not null,
    layer_id varchar(40) not null,
    sheet_digest varchar(64) not null references sheet (digest),
    planned_start timestamp(6) with time zone,
    primary key (zone_id, cycle, layer_id)
);

insert into cycle_layer (zone_id, cycle, ordinal, layer_id, sheet_digest, planned_start)
select zone_id, 1, ordinal, layer_id, sheet_digest, planned_start from zone_layer;

drop table zone_layer;

alter table log_entry add column cycle integer default 1 not null;

-- which method of preparation a step was done or a gate was tested for; nobody noted it before
alter table log_entry add column prep_method varchar(40) default '' not null;

-- counts what was written about a job, of whatever kind: two answers about it are put in order by it
alter table job add column changes bigint default 0 not null;
