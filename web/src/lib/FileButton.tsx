import { Button, Upload } from "antd";
import type { ReactNode } from "react";

type Props = { accept: string; onFile: (file: File) => void; children?: ReactNode; label?: string; icon?: ReactNode };

/** Takes a file from the tablet's camera or its store; what becomes of it is for whoever asked. */
export function FileButton({ accept, onFile, children, label, icon }: Props) {
  return (
    <Upload
      accept={accept}
      showUploadList={false}
      beforeUpload={(file) => {
        onFile(file);
        return false;
      }}
    >
      <Button icon={icon} aria-label={label}>
        {children}
      </Button>
    </Upload>
  );
}
