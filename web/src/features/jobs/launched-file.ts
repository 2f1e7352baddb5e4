/** The File Handling API, as far as it is used here: https://wicg.github.io/manifest-incubations/#launchqueue-interface */
interface LaunchQueue {
  setConsumer(take: (launch: { readonly files?: readonly FileSystemFileHandle[] }) => void): void;
}

/** Hands on a file that the system opened this application with. Where it never does, nothing comes. */
export function launchedFile(take: (file: File) => void): void {
  const { launchQueue } = window as { readonly launchQueue?: LaunchQueue };
  launchQueue?.setConsumer(({ files = [] }) => {
    void files[0]?.getFile().then(take, () => undefined);
  });
}
