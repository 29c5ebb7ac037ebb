UPDATE "job_member" SET "role" = 'fitter' WHERE "role" = 'member';
