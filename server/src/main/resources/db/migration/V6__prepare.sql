-- what the place of a zone does not allow, besides dust and wash water
create table zone_limit (
    zone_id uuid not null references zone (id),
    site_limit varchar(30) not null,
    primary key (zone_id, site_limit)
);
