-- A delivery that was put away can be brought back until its rows are cleared.

alter table delivery add column put_away_at datetime(6);
