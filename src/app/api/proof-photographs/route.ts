import { receiveProofPhotograph } from '@/studio';
import { takeFile } from '../takeBody';

/** Takes the body as a photograph of a round; `work`, `round` and, for corners by hand, `byHand=1` in the query. */
export const PUT = (request: Request): Promise<Response> =>
  takeFile(request, (name, body) => {
    const { searchParams } = new URL(request.url);
    const asked = (key: string) => searchParams.get(key) ?? '';
    const of = {
      work: asked('work'),
      round: asked('round'),
      byHand: asked('byHand') === '1',
    };
    return receiveProofPhotograph(of, name, body, request.signal);
  });
