-- systems of the shop's own, every version of each: a floor is laid to its end by the version it was begun with
create table own_system (
    id varchar(40) not null,
    version integer not null,
    body varchar(100000) not null,
    primary key (id, version)
);
