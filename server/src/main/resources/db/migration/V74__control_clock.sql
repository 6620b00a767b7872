-- How far the clock of a control is ahead of ours, as it was read last; null where it says no time.
alter table table_watch add column clock_ahead_seconds bigint;
