import { Empty } from '@/shell';

export default function Loading() {
  return <Empty busy title="Opening the drawer …" />;
}
