-- which money the shop reckons in, by its code of ISO 4217; no row where nobody said
create table shop_currency (
    one int primary key check (one = 1),
    currency varchar(3) not null
);
