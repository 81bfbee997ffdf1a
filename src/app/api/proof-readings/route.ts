import { receiveReading } from '@/studio';
import { takeFile } from '../takeBody';

/** Takes the body as readings of a round's control strip, CGATS text; `work` and `round` in the query. */
export const PUT = (request: Request): Promise<Response> =>
  takeFile(request, (name, body) => {
    const { searchParams } = new URL(request.url);
    const asked = (key: string) => searchParams.get(key) ?? '';
    return receiveReading(asked('work'), asked('round'), name, body);
  });
