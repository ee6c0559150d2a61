export { addDays, holidays, isWorkingDay, weekday, workingDaysBefore, type Country } from './holidays';
export { DAYS, earliestStart, noticesOf, type Notice, type NoticesAsked } from './notices';
