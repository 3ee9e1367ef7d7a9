-- When a batch ends hangs on what its workspace has rendered lately.
create index batch_cue_finished on batch_cue (finished_at) where state in ('done', 'failed');
