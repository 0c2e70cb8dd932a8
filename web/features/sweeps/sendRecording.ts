import {
  API_VERSION,
  API_VERSION_HEADER,
  asRead,
  recordingInfo,
  recordingWithNumbers,
  type RecordingInfo,
  type RecordingWithNumbers,
} from '@lettura/contract';
import { fail, ok, type Problem, type Result } from '@lettura/core/measure/problem';
import type { Recording } from '@lettura/core/recording/sweep';
import { requestProblem } from '../../app/requestProblem.ts';
import { packed } from './packRecording.ts';

const storedInfo = asRead(recordingInfo);
const storedRecording = asRead(recordingWithNumbers);

const refused = ({ code, message, next }: Problem) => fail(code, message, next);

async function asked(path: string, request?: RequestInit): Promise<Result<unknown, string>> {
  try {
    const headers = new Headers(request?.headers);
    headers.set(API_VERSION_HEADER, String(API_VERSION));
    const response = await fetch(`/api/${path}`, { ...request, headers });
    const body: unknown = await response.json();
    return response.ok ? ok(body) : refused(requestProblem({ status: response.status, data: body }));
  } catch {
    return refused(requestProblem(undefined));
  }
}

/** Sends a recording to its job; in a worker, since its numbers are many. */
export async function sendRecording(
  info: RecordingInfo,
  recording: Recording,
): Promise<Result<RecordingInfo, string>> {
  const heading = JSON.stringify(info);
  // Written out: a string of all of it would be there twice more.
  const body = new Blob([`${heading.slice(0, -1)},"data":"`, ...(await packed(recording)), '"}']);
  const answer = await asked(`jobs/${info.jobId}/recordings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  });
  return answer.ok ? ok(storedInfo.parse(answer.value)) : answer;
}

export async function fetchRecording(id: string): Promise<Result<RecordingWithNumbers, string>> {
  const answer = await asked(`recordings/${id}`);
  return answer.ok ? ok(storedRecording.parse(answer.value)) : answer;
}
