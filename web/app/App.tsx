import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { lazy, Suspense, useMemo } from 'react';
import { useSelector } from 'react-redux';
import { BrowserRouter, Link, Route, Routes } from 'react-router';
import { Loading, Trouble } from '../ui/Centred.tsx';
import { selectTheme } from './preferences.ts';
import { themeNamed } from './theme.ts';

const JobsPage = lazy(() => import('../features/jobs/JobsPage.tsx'));
const NewJobPage = lazy(() => import('../features/jobs/NewJobPage.tsx'));
const InstrumentsPage = lazy(() => import('../features/instruments/InstrumentsPage.tsx'));
const SensorFormPage = lazy(() => import('../features/sensors/SensorFormPage.tsx'));
const SensorsPage = lazy(() => import('../features/sensors/SensorsPage.tsx'));
const ImportPage = lazy(() => import('../features/sweeps/ImportPage.tsx'));
const RecordPage = lazy(() => import('../features/record/RecordPage.tsx'));
const SweepPage = lazy(() => import('../features/sweeps/SweepPage.tsx'));
const SweepsPage = lazy(() => import('../features/sweeps/SweepsPage.tsx'));
const SheetPage = lazy(() => import('../features/sheet/SheetPage.tsx'));
const ReferencePage = lazy(() => import('../features/reference/ReferencePage.tsx'));
const ReportPage = lazy(() => import('../features/report/ReportPage.tsx'));

export function App() {
  const name = useSelector(selectTheme);
  const theme = useMemo(() => themeNamed(name), [name]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      {/* At once: in a transition the old tab would still stand there, and take what is typed for the new one. */}
      <BrowserRouter useTransitions={false}>
        <Suspense fallback={<Loading what="the page" />}>
          <Routes>
            <Route path="/" element={<JobsPage />} />
            <Route path="/jobs/new" element={<NewJobPage />} />
            <Route path="/jobs/:jobId" element={<SheetPage />} />
            <Route path="/jobs/:jobId/sweeps/import" element={<ImportPage />} />
            <Route path="/jobs/:jobId/sweeps/record" element={<RecordPage />} />
            <Route path="/sweeps" element={<SweepsPage />} />
            <Route path="/sweeps/:recordingId" element={<SweepPage />} />
            <Route path="/jobs/:jobId/report" element={<ReportPage />} />
            <Route path="/sensors/new" element={<SensorFormPage key="new" purpose="new" />} />
            <Route
              path="/sensors/:sensorId/change"
              element={<SensorFormPage key="change" purpose="change" />}
            />
            <Route path="/sensors/:sensorId/copy" element={<SensorFormPage key="copy" purpose="copy" />} />
            <Route path="/instruments" element={<InstrumentsPage />} />
            <Route path="/sensors/:sensorId?" element={<SensorsPage />} />
            <Route path="/reference/:calculator?" element={<ReferencePage />} />
            <Route
              path="*"
              element={
                <Trouble message="There is no such page." next="The address may be mistyped.">
                  <Link to="/">All jobs</Link>
                </Trouble>
              }
            />
          </Routes>
        </Suspense>
      </BrowserRouter>
    </ThemeProvider>
  );
}
