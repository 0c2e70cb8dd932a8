import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { followedOn, followUpsOn, proofOf, worksOn } from '@lettura/contract';
import { followUpInWords, placeInWords, proofInWords, workInWords } from '../../ui/inWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { FollowUpRemarks, SameTestsTable, type Sheet } from '../sheet/index.ts';
import { Heading } from './Heading.tsx';

/** What was done to the machine, and what the same tests before and after prove of it; nothing where nothing was done. */
export function RepairReport({ sheet, units }: { sheet: Sheet; units: Units }) {
  const works = worksOn(sheet.readings);
  const proof = proofOf(sheet);
  return (
    <>
      {works.length > 0 && (
        <>
          <Heading>{t('ui-report.work-done')}</Heading>
          <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
            {works.map((work) => (
              <li key={work.id}>
                {dayAndTime(work.takenAt)}: <strong>{workInWords(work)}</strong>
                {work.who && `, ${work.who}`}
                {work.note && `. ${work.note}`}
              </li>
            ))}
            {followUpsOn(sheet.readings).map((one) => (
              <li key={one.id}>
                {dayAndTime(one.takenAt)}: <strong>{placeInWords(one)}</strong>: {followUpInWords(one)}
              </li>
            ))}
          </Box>
          <FollowUpRemarks followed={followedOn(sheet)} />
        </>
      )}
      {proof && (
        <>
          <Heading>{t('ui-report.proof-of-repair')}</Heading>
          <Typography sx={{ fontWeight: 700 }}>{proofInWords(proof, units)}</Typography>
          <SameTestsTable {...{ proof, units }} ambient={sheet.caseFile.ambient} disabled />
        </>
      )}
    </>
  );
}
