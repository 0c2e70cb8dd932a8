import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { FAMILIES, FAMILY_IDS, type FamilyId } from '@lettura/core/machine/family';
import { CompanionFields } from './CompanionFields.tsx';
import { bound, type FieldsProps } from './fieldProps.ts';
import { PinsEditor } from './PinsEditor.tsx';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** What the sensor is called, what it is, and where its data come from. */
export function IdentityFields(props: FieldsProps) {
  const { text, change } = props;
  return (
    <>
      <TextField {...bound(props, 'name', t('ui-sensors.name'))} />
      <TextField
        select
        label={t('ui-sensors.family')}
        value={text.family}
        onChange={(event) => {
          const family = event.target.value as FamilyId;
          change({ family, measures: FAMILIES[family].measures[0] });
        }}
      >
        {FAMILY_IDS.map((family) => (
          <MenuItem key={family} value={family}>
            <Said message={FAMILIES[family].words} />
          </MenuItem>
        ))}
      </TextField>
      <TextField
        {...bound(props, 'source', t('ui-sensors.where-points-come'))}
        placeholder={t('ui-sensors.data-sheet-known-good-part')}
      />
    </>
  );
}

/** What else belongs to it: a second output, what is known of it, and its plug. */
export function MoreFields(props: FieldsProps) {
  const { text, change, problems } = props;
  return (
    <>
      <CompanionFields {...props} />
      <TextField {...bound(props, 'notes', t('ui-sensors.notes-workshop'))} multiline minRows={2} />
      <Typography variant="h3" component="h2">
        {t('ui-sensors.pins')}
      </Typography>
      <PinsEditor pins={text.pins} onChange={(pins) => change({ pins })} problem={problems.pins} />
    </>
  );
}
