import { receiveBoard } from '@/stations/capture/intakeBoard';
import { takeBody } from '../takeBody';

/** Takes the body, streamed, as a board shot in the light of a work. */
export const PUT = (request: Request): Promise<Response> => takeBody(request, receiveBoard);
