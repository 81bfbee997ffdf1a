import { receiveSwatch } from '@/drawers/papers/intakeSwatch';
import { takeFile } from '../../takeBody';

/** Takes the body as a photograph of a swatch of a paper. */
export const PUT = async (
  request: Request,
  { params }: { params: Promise<{ paper: string }> },
): Promise<Response> => takeFile(request, receiveSwatch((await params).paper));
