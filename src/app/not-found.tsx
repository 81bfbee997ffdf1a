import { ButtonLink } from '@/shell/actions';
import { Empty } from '@/shell/said';

export default function NotFound() {
  return (
    <Empty title="There is nothing under this address">
      <p>The work or the view may have had another number.</p>
      <ButtonLink href="/works">Go to the works</ButtonLink>
    </Empty>
  );
}
