import { fileProblem, lengthProblem, playProblem } from './open-clip';

test('files that cannot be looked at are refused in words that name the mend', () => {
  expect(fileProblem({ name: 'a.mp4', size: 5, type: 'video/mp4' })).toBeNull();
  expect(fileProblem({ name: 'a.mkv', size: 5, type: '' })).toBeNull();
  expect(fileProblem({ name: 'a.mp4', size: 0, type: 'video/mp4' })).toContain('is empty');
  expect(fileProblem({ name: 'a.pdf', size: 5, type: 'application/pdf' })).toContain('MP4, WebM');
  expect(fileProblem({ name: 'a.mp4', size: 3e9, type: 'video/mp4' })).toContain('over 2 GB');
});

test('of two hours, broken, of an unknown kind', () => {
  expect(lengthProblem('a.mp4', 7200)).toContain('2 hours');
  expect(lengthProblem('a.mp4', 900)).toContain('15 minutes');
  expect(lengthProblem('a.mp4', 599)).toBeNull();
  expect(playProblem('a.mp4', 3)).toContain('broken in the middle');
  expect(playProblem('a.mp4', 4)).toContain('save it as MP4');
});
