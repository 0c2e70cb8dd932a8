import { recordingPictures, type DrawnRecording } from './recordingPictures.ts';

/** In a thread of its own: the pictures of a recording, as SVG. */
export default function pictures(kept: DrawnRecording): string[] {
  return recordingPictures(kept);
}
