import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Pin } from '@lettura/contract';
import {
  roleSaid,
  type PlugReading,
  type TerminalFinding,
  type WireFinding,
} from '@lettura/core/judge/wireFinder';
import { roleOfPin } from './plugOf.ts';
import { readingInWords, unlikeInWords } from './plugWords.ts';
import { said, t } from '../../ui/words.ts';

export interface TerminalTableProps {
  finding: WireFinding;
  readings: readonly PlugReading[];
  /** The plug by list or diagram, terminal by terminal; empty where it has another number of them. */
  listed: readonly Pin[];
  nameOf: (terminal: number) => string;
  onForget: (reading: PlugReading) => void;
}

/** What each terminal is, what it could be confused with, whether list or diagram agree, and the evidence. */
export function TerminalTable({ finding, readings, listed, nameOf, onForget }: TerminalTableProps) {
  return (
    <Table size="small" aria-label={t('ui-wires.terminals')} sx={{ '& td, & th': { px: 1 } }}>
      <TableHead>
        <TableRow>
          <TableCell>{t('ui-wires.terminal')}</TableCell>
          <TableCell>{t('ui-wires.it-is')}</TableCell>
          <TableCell>{t('ui-wires.measured')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {finding.terminals.map((found) => {
          const pin = listed[found.terminal];
          return (
            <TableRow key={found.terminal}>
              <TableCell component="th" scope="row" sx={{ fontWeight: 700 }}>
                {nameOf(found.terminal)}
              </TableCell>
              <TableCell>
                <FoundRole {...found} />
                {pin && <Listed pin={pin} found={found} />}
              </TableCell>
              <TableCell>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
                  {readings
                    .filter(({ terminal }) => terminal === found.terminal)
                    .map((reading) => (
                      <Chip
                        key={reading.test}
                        label={readingInWords(reading)}
                        onDelete={() => onForget(reading)}
                        sx={{ height: 44 }}
                      />
                    ))}
                </Box>
              </TableCell>
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}

function FoundRole({ confidence, role, couldBe, unlike }: TerminalFinding) {
  if (!role || confidence === 'open') {
    const all = [...(role ? [{ role }] : []), ...couldBe].map((one) => said(roleSaid(one.role)));
    return (
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {t('ui-wires.not-known-yet', {
          which: all.length > 0 && all.length < 4 ? `: ${all.join(' or ')}` : '',
        })}
      </Typography>
    );
  }
  return (
    <>
      <Typography sx={{ fontWeight: 700 }}>
        {confidence === 'certain' ? '✓' : '~'} {said(roleSaid(role))}
      </Typography>
      <Typography variant="body2">
        {confidence === 'certain'
          ? t('ui-wires.certain-name')
          : t('ui-wires.likely-but-could', {
              couldBe: couldBe.map((one) => said(roleSaid(one.role))).join(' or '),
            })}
      </Typography>
      {unlike && (
        <Typography variant="body2" sx={{ fontWeight: 700, color: 'warning.main' }}>
          {unlikeInWords(role, unlike)}
        </Typography>
      )}
    </>
  );
}

function Listed({ pin, found }: { pin: Pin; found: TerminalFinding }) {
  const role = roleOfPin(pin.wire);
  const differs = found.role !== undefined && found.confidence !== 'open' && found.role !== role;
  return (
    <Typography variant="body2" sx={differs ? { fontWeight: 700, color: 'warning.main' } : {}}>
      {differs
        ? t('ui-wires.list-says-plug-disagrees', { role: said(roleSaid(role)) })
        : t('ui-wires.list-says', { role: said(roleSaid(role)) })}
    </Typography>
  );
}
