export { agendaOf, type AgendaItem } from './agenda.ts';
export { remindersOf, type QuietHours, type Reminder } from './reminders.ts';
