import { receiveProfile } from '@/studio';
import { takeFile } from '../takeBody';

/** Takes the body as a printer's ICC profile. */
export const PUT = (request: Request): Promise<Response> =>
  takeFile(request, receiveProfile);
