import { jobFileText } from '@/data/files';
import { notifyProblem } from '@/ui/notify';
import { saveTextAs } from '../shell/download';
import { fileName } from '../shell/fileName';

export async function saveJobFile(job: Parameters<typeof jobFileText>[0]): Promise<void> {
  const text = await jobFileText(job);
  if (!text.ok) {
    notifyProblem(text.problem);
    return;
  }
  saveTextAs(`${fileName(job.name)}.mesajob.json`, text.value, 'application/json');
}
