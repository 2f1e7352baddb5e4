import { ElMessage } from 'element-plus';
import 'element-plus/theme-chalk/el-message.css';

/** Milliseconds it stays: to be read once, on the way to the next touch. */
const STAYS = 2600;

export function show(words: string): void {
  ElMessage({ message: words, customClass: 'said', duration: STAYS, offset: 64, grouping: true });
}
