/** Days as an iCalendar file: a door of its own, since what writes the format is seldom wanted. */

export { type CalendarEntry, calendarOf } from '../src/upkeep/calendar';
