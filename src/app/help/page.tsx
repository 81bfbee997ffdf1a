import { redirect } from 'next/navigation';

export default function HelpRoute() {
  redirect('/help/first-day');
}
