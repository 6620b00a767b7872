alter table trail_entry rename column said to text;
