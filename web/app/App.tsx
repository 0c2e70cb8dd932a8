import CssBaseline from '@mui/material/CssBaseline';
import GlobalStyles from '@mui/material/GlobalStyles';
import { ThemeProvider } from '@mui/material/styles';
import { Suspense, useMemo } from 'react';
import { useSelector } from 'react-redux';
import { BrowserRouter, Link, Route, Routes } from 'react-router';
import { Loading, Trouble } from '../ui/Centred.tsx';
import { selectTextSize, selectTheme, TEXT_PERCENT } from './preferences.ts';
import { ScreenBoundary } from './ScreenBoundary.tsx';
import { screen } from './screen.tsx';
import { themeNamed } from './theme.ts';
import { say } from '@lettura/core/measure/message';
import { t } from '../ui/words.ts';

const JobsPage = screen(() => import('../features/jobs/JobsPage.tsx'));
const NewJobPage = screen(() => import('../features/jobs/NewJobPage.tsx'));
const InstrumentsPage = screen(() => import('../features/instruments/InstrumentsPage.tsx'));
const SensorFormPage = screen(() => import('../features/sensors/SensorFormPage.tsx'));
const SensorsPage = screen(() => import('../features/sensors/SensorsPage.tsx'));
const ImportPage = screen(() => import('../features/sweeps/ImportPage.tsx'));
const RecordPage = screen(() => import('../features/record/RecordPage.tsx'));
const SweepPage = screen(() => import('../features/sweeps/SweepPage.tsx'));
const SweepsPage = screen(() => import('../features/sweeps/SweepsPage.tsx'));
const SheetPage = screen(() => import('../features/sheet/SheetPage.tsx'));
const MachinePage = screen(() => import('../features/machines/MachinePage.tsx'));
const SensorRecordPage = screen(() => import('../features/machines/SensorRecordPage.tsx'));
const ReferencePage = screen(() => import('../features/reference/ReferencePage.tsx'));
const ReportPage = screen(() => import('../features/report/ReportPage.tsx'));

export function App() {
  const name = useSelector(selectTheme);
  const textSize = useSelector(selectTextSize);
  const theme = useMemo(() => themeNamed(name), [name]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      {/* Everything is measured in the root's letters. */}
      <GlobalStyles styles={{ html: { fontSize: `${TEXT_PERCENT[textSize]}%` } }} />
      {/* At once: in a transition the old tab would still stand there, and take what is typed for the new one. */}
      <BrowserRouter useTransitions={false}>
        <ScreenBoundary>
          {() => (
            <Suspense fallback={<Loading what={t('ui-app.the-page')} />}>
              <Routes>
                <Route path="/" element={<JobsPage />} />
                <Route path="/jobs/new" element={<NewJobPage />} />
                <Route path="/jobs/:jobId" element={<SheetPage />} />
                <Route path="/jobs/:jobId/sweeps/import" element={<ImportPage />} />
                <Route path="/jobs/:jobId/sweeps/record" element={<RecordPage />} />
                <Route path="/sweeps" element={<SweepsPage />} />
                <Route path="/sweeps/:recordingId" element={<SweepPage />} />
                <Route path="/jobs/:jobId/report" element={<ReportPage />} />
                <Route path="/machines/:vehicleId" element={<MachinePage />} />
                <Route path="/sensors/new" element={<SensorFormPage key="new" purpose="new" />} />
                <Route
                  path="/sensors/:sensorId/change"
                  element={<SensorFormPage key="change" purpose="change" />}
                />
                <Route
                  path="/sensors/:sensorId/copy"
                  element={<SensorFormPage key="copy" purpose="copy" />}
                />
                <Route path="/sensors/:sensorId/readings" element={<SensorRecordPage />} />
                <Route path="/instruments" element={<InstrumentsPage />} />
                <Route path="/sensors/:sensorId?" element={<SensorsPage />} />
                <Route path="/reference/:calculator?" element={<ReferencePage />} />
                <Route
                  path="*"
                  element={
                    <Trouble message={say('app.no-such-page')} next={say('app.address-mistyped')}>
                      <Link to="/">{t('ui-app.all-jobs')}</Link>
                    </Trouble>
                  }
                />
              </Routes>
            </Suspense>
          )}
        </ScreenBoundary>
      </BrowserRouter>
    </ThemeProvider>
  );
}
