'use client';
import { GregorianCalendar, parseDate, toCalendar } from '@internationalized/date';
import { CalendarDays, ChevronLeft, ChevronRight } from 'lucide-react';
import {
  Button,
  Calendar,
  CalendarCell,
  CalendarGrid,
  DateInput,
  DatePicker,
  DateSegment,
  Dialog,
  Group,
  Heading,
  Popover,
} from 'react-aria-components';
import styled from 'styled-components';
import { FIRST_DAY, LAST_DAY, isDay } from '@/core/input';
import { boxCss, laidOpenCss } from './box';

const Box = styled(Group)`
  ${boxCss}
  display: flex;
  align-items: center;
  width: 100%;
  button {
    appearance: none;
    border: 0;
    background: none;
    padding: 4px 5px;
    display: grid;
    cursor: pointer;
    color: inherit;
  }
`;

const Segments = styled(DateInput)`
  display: flex;
  flex: 1;
  justify-content: flex-end;
  padding: 5px 0 5px 6px;
  span[data-type]:focus,
  [role='spinbutton']:focus {
    outline: none;
    background: #1c4a78;
    color: #fff;
  }
`;

const Laid = styled(Popover)`
  ${laidOpenCss}
  padding: 10px 12px;
  header {
    display: flex;
    align-items: center;
    gap: 8px;
    h2 {
      flex: 1;
      font-size: 15px;
      text-align: center;
    }
    button {
      appearance: none;
      border: 0;
      background: none;
      padding: 4px;
      display: grid;
      cursor: pointer;
      color: inherit;
    }
  }
  td {
    padding: 0;
  }
  th {
    font-weight: 500;
    font-size: 11.5px;
    color: #4a4a4a;
  }
`;

const Cell = styled(CalendarCell)`
  width: 30px;
  height: 26px;
  display: grid;
  place-items: center;
  cursor: pointer;
  &[data-outside-month] {
    color: #8a8a8a;
  }
  &[data-hovered] {
    background: #dbe5ef;
  }
  &[data-selected] {
    background: #1c4a78;
    color: #fff;
  }
  &[data-focus-visible] {
    outline: 2px solid #1c4a78;
    outline-offset: 1px;
  }
`;

/** A day, typed part by part as the bench writes days, or picked in a calendar. `YYYY-MM-DD`, or empty. */
export const DayBox = ({
  label,
  value,
  onChange,
  isInvalid = false,
  onBlur,
}: {
  label: string;
  value: string;
  onChange: (day: string) => void;
  isInvalid?: boolean;
  onBlur?: () => void;
}) => (
  <DatePicker
    aria-label={label}
    value={isDay(value) ? parseDate(value) : null}
    onChange={(day) =>
      onChange(day === null ? '' : toCalendar(day, new GregorianCalendar()).toString())
    }
    minValue={parseDate(FIRST_DAY)}
    maxValue={parseDate(LAST_DAY)}
    isInvalid={isInvalid}
    validationBehavior="aria"
    {...(onBlur ? { onBlur } : {})}
  >
    <Box data-invalid={isInvalid || undefined}>
      <Segments>{(segment) => <DateSegment segment={segment} />}</Segments>
      <Button aria-label={`${label}: the calendar`}>
        <CalendarDays size={14} aria-hidden />
      </Button>
    </Box>
    <Laid>
      <Dialog>
        <Calendar>
          <header>
            <Button slot="previous" aria-label="The month before">
              <ChevronLeft size={15} aria-hidden />
            </Button>
            <Heading />
            <Button slot="next" aria-label="The month after">
              <ChevronRight size={15} aria-hidden />
            </Button>
          </header>
          <CalendarGrid>{(date) => <Cell date={date} />}</CalendarGrid>
        </Calendar>
      </Dialog>
    </Laid>
  </DatePicker>
);
