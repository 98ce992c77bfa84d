import { Button } from '@chakra-ui/react';
import { FileDown } from 'lucide-react';
import { PrintBar } from '@/ui/print-bar';

/** Above a paper: the way back, printing, and its PDF. */
export function PaperBar({ back, backTo, pdf }: { back: string; backTo: string; pdf: string }) {
  return (
    <div className="paper-bar">
      <PrintBar back={back} backTo={backTo} print="Print" about="For the customer, A4 upright" />
      <Button asChild variant="outline" className="no-print">
        <a href={pdf} download>
          <FileDown size={18} /> PDF
        </a>
      </Button>
    </div>
  );
}
