import Box from '@mui/material/Box';
import { useListJobsQuery, useListSensorsQuery, useListVehiclesQuery } from '../../app/api.ts';
import { Loading } from '../../ui/Centred.tsx';
import { Fold } from '../../ui/Fold.tsx';
import { dayAndTime } from '../../ui/when.ts';
import { t } from '../../ui/words.ts';
import { type JobSubjectProps, draftOf, KnownSubjectForm } from './KnownSubjectForm.tsx';

/** Which machine and sensor a job was said to be of before, and a way to say that it is of others. */
export function JobSubject({ job, sensor, vehicle }: JobSubjectProps) {
  return (
    <div>
      {job.formerly && (
        <Box
          component="ul"
          aria-label={t('ui-jobs.formerly')}
          sx={{ m: 0, pl: 2.5, overflowWrap: 'anywhere' }}
        >
          {job.formerly.map(({ until, what, name }) => (
            <li key={`${until} ${what}`}>
              {t(`ui-jobs.formerly-${what}`, {
                when: dayAndTime(until),
                name,
              })}
            </li>
          ))}
        </Box>
      )}
      {!job.bench && (
        <Fold
          summary={t('ui-jobs.other-subject')}
          startsOpen={Object.keys(draftOf(job.id).load()).length > 0}
        >
          <SubjectForm {...{ job, sensor, vehicle }} />
        </Fold>
      )}
    </div>
  );
}

function SubjectForm(of: JobSubjectProps) {
  const { data: vehicles } = useListVehiclesQuery();
  const { data: jobs } = useListJobsQuery();
  const { data: sensors } = useListSensorsQuery();
  // Before the machines are known, each would be a new one.
  return vehicles && jobs && sensors ? (
    <KnownSubjectForm {...of} vehicles={vehicles} jobs={jobs} sensors={sensors} />
  ) : (
    <Loading what={t('ui-jobs.machines-and-sensors')} />
  );
}
