-- with which mats a layer is stamped, as it was typed
create table stamp_layout (
    zone_id uuid not null references zone (id),
    cycle integer not null,
    layer_id varchar(40) not null,
    along varchar(80) not null,
    across varchar(80) not null,
    shift varchar(80) not null,
    grain varchar(80) not null,
    primary key (zone_id, cycle, layer_id)
);
