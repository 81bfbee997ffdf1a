import { studioDays } from '@/drawers/table/calendar';
import { sendBytes } from '../send';

/** Promised days and proofs that are out, as a calendar file. */
export const GET = async (): Promise<Response> =>
  sendBytes({
    bytes: Buffer.from(await studioDays()),
    type: 'text/calendar; charset=utf-8',
    name: 'studio-days.ics',
  });
