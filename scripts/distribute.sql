-- Spreads the tables of jobs over the servers of a PostgreSQL that has the extension for it: by job, so that all that one
-- job has lies together and no question about it crosses servers. Run once, in an empty database that was brought up to
-- date, by who owns the tables: psql -f scripts/distribute.sql. See docs/scale.md. A test holds this list against the schema.

-- Everywhere, small and seldom written: who people are, what they sign with, what the organisation named.
select create_reference_table('org');
select create_reference_table('person');
select create_reference_table('device_key');
select create_reference_table('passkey');
select create_reference_table('invitation');
select create_reference_table('own_part');
select create_reference_table('audit');
select create_reference_table('session');
select create_reference_table('lease');

-- By job; whatever refers to a job lies where that job lies.
select create_distributed_table('job', 'job_id');
select create_distributed_table('job_member', 'job_id', colocate_with => 'job');
select create_distributed_table('job_head', 'job_id', colocate_with => 'job');
select create_distributed_table('job_joint', 'job_id', colocate_with => 'job');
select create_distributed_table('job_key', 'job_id', colocate_with => 'job');
select create_distributed_table('job_glance', 'job_id', colocate_with => 'job');
select create_distributed_table('job_named', 'job_id', colocate_with => 'job');
select create_distributed_table('job_pack', 'job_id', colocate_with => 'job');
select create_distributed_table('event', 'job_id', colocate_with => 'job');
select create_distributed_table('photo', 'job_id', colocate_with => 'job');
select create_distributed_table('device', 'job_id', colocate_with => 'job');
