export { agendaOf, type AgendaItem } from './agenda.ts';
export { afterQuiet, remindersOf, type QuietHours, type Reminder } from './reminders.ts';
