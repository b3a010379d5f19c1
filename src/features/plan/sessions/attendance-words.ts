import type { Attendance } from '@/core/players/attendance';

export const attendanceWords: Readonly<Record<Attendance, string>> = {
  here: 'here',
  late: 'late',
  left: 'left early',
  absent: 'absent',
};
