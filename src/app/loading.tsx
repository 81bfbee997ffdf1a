import { Empty } from '@/shell/said';

export default function Loading() {
  return <Empty busy title="Opening the drawer …" />;
}
