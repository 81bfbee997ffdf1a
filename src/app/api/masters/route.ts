import { receiveMaster } from '@/stations/capture/intake';
import { takeBody } from '../takeBody';

/** Takes the body, streamed, as the master of a work. */
export const PUT = (request: Request): Promise<Response> =>
  takeBody(request, receiveMaster);
