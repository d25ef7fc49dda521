-- how a layer is laid out in planks, and which butts somebody moved; the planks themselves are drawn anew from it

create table plank_layout (
    zone_id uuid not null references zone (id),
    cycle integer not null,
    layer_id varchar(40) not null,
    version integer not null,
    grain varchar(80) not null,
    widths varchar(200) not null,
    shortest varchar(80) not null,
    longest varchar(80) not null,
    frame varchar(80) not null,
    seed bigint not null,
    primary key (zone_id, cycle, layer_id)
);

create table plank_nudge (
    zone_id uuid not null references zone (id),
    cycle integer not null,
    layer_id varchar(40) not null,
    row_number integer not null,
    run_number integer not null,
    butt_number integer not null,
    moved varchar(80) not null,
    primary key (zone_id, cycle, layer_id, row_number, run_number, butt_number)
);
