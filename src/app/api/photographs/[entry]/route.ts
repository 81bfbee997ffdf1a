import { receivePhotograph } from '@/drawers/log/intakePhotograph';
import { takeFile } from '../../takeBody';

/** Takes the body as a photograph of a print of the log book. */
export const PUT = async (
  request: Request,
  { params }: { params: Promise<{ entry: string }> },
): Promise<Response> => takeFile(request, receivePhotograph((await params).entry));
