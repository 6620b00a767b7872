-- When each file of a delivery was last changed, as its ZIP says; else when it was received.

alter table delivery_document add dated date;

update delivery_document d join delivery v on v.id = d.delivery_id
set d.dated = date(v.created_at);

alter table delivery_document modify dated date not null;
