import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
export type Outline = Schemas['Outline'];
export type Part = Schemas['Part'];
export type Mark = Schemas['Mark'];
export type Finding = Schemas['Finding'];
export type Delivery = Schemas['DeliveryView'];
export type DeliveryFile = Schemas['FileView'];
export type Line = Schemas['LineView'];
export type FindingGroup = Schemas['FindingGroup'];
export type ToolRow = Schemas['ToolRow'];
export type Standing = ToolRow['standing'];
export type LibraryHead = Schemas['LibraryHead'];
export type LibraryLine = Schemas['LibraryLine'];
export type LibraryRow = Schemas['LibraryRow'];
export type LibrarySettings = Schemas['LibrarySettings'];
export type LibraryChange = Schemas['LibraryChange'];
export type SectionView = Schemas['SectionView'];
export type BulkBody = Schemas['BulkOrder'];
export type CopyBody = Schemas['CopyOrder'];
export type Copied = Schemas['Copied'];
export type DuplicateGroup = Schemas['GroupView'];
export type DuplicateMember = Schemas['MemberView'];
export type MergeBody = Schemas['ToolMergeOrder'];
export type ListView = Schemas['ListView'];
export type ViewDefinition = Schemas['ViewDefinition'];
export type FactorBody = Schemas['FactorOrder'];
export type ToolColumn = Schemas['ToolColumn'];
export type ValueView = Schemas['ValueView'];
export type ToolAnswer = Schemas['ToolAnswer'];
export type ToolField = Schemas['ToolField'];
export type Sheet = Schemas['Sheet'];
export type MachineView = Schemas['MachineView'];
export type PlaceView = Schemas['PlaceView'];
export type MeasureView = Schemas['MeasureView'];
export type StorageView = Schemas['StorageView'];
export type MachineHead = Schemas['MachineHead'];
export type Machine = Schemas['Machine'];
export type JobHead = Schemas['JobHead'];
export type JobView = Schemas['JobView'];
export type JobOrder = Schemas['JobOrder'];
export type Link = Schemas['LinkView'];
export type LinkEnd = Schemas['LinkEnd'];
export type LinkKind = LinkEnd['kind'];
export type PostView = Schemas['PostView'];
export type PostDraft = Schemas['PostDraft'];
export type DefaultKeyView = Schemas['DefaultKeyView'];
export type UseView = Schemas['UseView'];
export type UseOrder = Schemas['UseOrder'];
export type PlannedLoad = Schemas['PlannedLoad'];
export type LoadSort = Schemas['SortOrder']['by'];
export type DefinitionChange = Schemas['DefinitionChange'];
export type Reconciliation = Schemas['ReconciliationView'];
export type ReportRow = Schemas['ReportRow'];
export type ToolsOfControl = Schemas['ToolsOfControl'];
export type ControlTool = Schemas['ControlTool'];
export type NumberRange = Schemas['RangeView'];
export type TableRule = Schemas['RuleView'];
export type Applied = Schemas['Applied'];
export type ControlFile = Schemas['ControlFile'];
export type Piece = Schemas['PieceView'];
export type PieceSize = Schemas['PieceSize'];
export type SizeVerdict = Schemas['SizeVerdict'];
export type Session = Schemas['Session'];
export type Permission = Session['may'][number];
export type AccountHead = Schemas['AccountHead'];
export type Role = AccountHead['role'];
export type KeyHead = Schemas['KeyHead'];
export type EditionHead = Schemas['EditionHead'];
export type ToolMarks = Schemas['ToolMarks'];
export type ListedTrust = Schemas['ListedTrust'];
export type UpdateAnswer = Schemas['UpdateAnswer'];
export type UpdateBody = Schemas['UpdateOrder'];
export type UpdateQuestion = Schemas['UpdateQuestion'];
export type UpdateStep = Schemas['UpdateStep'];
export type OutletView = Schemas['OutletView'];
export type OutletBody = Schemas['OutletOrder'];
export type RulesBody = Schemas['RulesOrder'];
export type IncludeView = Schemas['IncludeView'];
export type ProposalHead = Schemas['ProposalHead'];
export type ProposalBody = Schemas['ProposalOrder'];
export type ProposedChange = Schemas['ChangeView'];
export type TakenChange = Schemas['TakenChange'];
export type Trust = Schemas['Trust'];
export type RightsView = Schemas['RightsView'];
export type RightsBody = Schemas['RightsOrder'];
export type Sharing = RightsView['sharing'];
export type LibraryRight = NonNullable<RightsView['right']>;
export type Facets = Schemas['Facets'];
export type Computed = Schemas['Computed'];
export type CuttingLine = Schemas['CuttingLineView'];
export type CuttingWindow = Schemas['Window'];
export type Body = Schemas['Frustum'];
export type Component = Schemas['Component'];
export type ComponentKnown = Schemas['KnownComponent'];
export type StackShape = Schemas['StackShape'];
export type Clearance = Schemas['Clearance'];
export type StackAnswer = Schemas['StackAnswer'];
export type StackKept = Schemas['KeptStack'];
export type FormerPart = Schemas['FormerPart'];
export type StackOffer = Schemas['PartOffer'];
export type Typed = Schemas['Typed'];
export type ToolBody = Schemas['ToolDraft'];
export type ClassOrder = Schemas['ClassOrder'];
export type StackBody = Schemas['StackDraft'];
export type LineBody = Schemas['CuttingDraft'];
export type MaterialBody = Schemas['MaterialDraft'];
export type NamingPatterns = Schemas['NamingPatterns'];
export type Reading = Schemas['ReadingView'];
export type ColumnDecision = Schemas['ColumnDecision'];
export type RecipeBody = Schemas['RecipeBody'];
export type WrittenFile = Schemas['WrittenFileView'];
export type Neighbour = Schemas['Neighbour'];
export type SolidAnswer = Schemas['ExplainedSolid'];
export type Conversion = Schemas['ConversionView'];
export type Attachment = Schemas['AttachmentView'];
export type ReadingChoice = Schemas['ReadingChoice'];
export type PackageReport = Schemas['PackageReport'];
export type VendorNews = Schemas['VendorNews'];
export type ItemNews = Schemas['ItemNews'];
export type PlannedShape = Schemas['PlannedShape'];
export type VendorField = Schemas['Field'];
export type CutBody =
  paths['/api/v1/tools/{id}/cutting/compute']['post']['requestBody']['content']['application/json'];
export type Decisions =
  paths['/api/v1/machines/{id}/reconciliation/apply']['post']['requestBody']['content']['application/json'];
export type MountedAsk = paths['/api/v1/tools/{id}/mounted']['get']['parameters']['query'];

/** A refusal of the server, in its words. */
export class Problem extends Error {
  readonly status: number;
  readonly details: unknown;

  constructor(status: number, detail: string, details?: unknown) {
    super(detail);
    this.status = status;
    this.details = details;
  }
}

function csrfToken(): string {
  return decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');
}

export const api = createClient<paths>({ baseUrl: '' });

api.use({
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', csrfToken());
    }
    return request;
  }
});

/** Unwraps an answer: its data, or the server's refusal as an exception. */
export async function ask<T>(
  answer: Promise<{ data?: T; error?: unknown; response: Response }>
): Promise<T> {
  let settled;
  try {
    settled = await answer;
  } catch {
    throw new Problem(0, 'the server does not answer; see that it runs, then try again');
  }
  const { data, error, response } = settled;
  if (!response.ok) {
    const problem = error as { detail?: string; details?: unknown } | undefined;
    throw new Problem(
      response.status,
      problem?.detail ?? `the server answered ${response.status}`,
      problem?.details
    );
  }
  return data as T;
}

/** Sends files as one new delivery, telling how far it is. */
export const bring = (files: File[], progress: (share: number) => void): Promise<number> =>
  send('/api/v1/deliveries', files, progress);

/**
 * What the solid of a file is.
 *
 * @param turned true where its ends stand the other way round than they are guessed
 */
export function explainSolid(file: Blob, name: string, turned: boolean): Promise<SolidAnswer> {
  const form = new FormData();
  form.append('file', file, name);
  return ask(
    api.POST('/api/v1/explain/solid', {
      params: { query: { turned } },
      body: { file: name },
      bodySerializer: () => form
    })
  );
}

/**
 * Sends files, telling how far it is; answers the identity of what became of them.
 *
 * @param field under which the server expects them
 */
export function send(
  path: string,
  files: File[],
  progress: (share: number) => void,
  field = 'files'
): Promise<number> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const form = new FormData();
    for (const file of files) form.append(field, file);
    request.upload.onprogress = (event) => progress(event.loaded / event.total);
    request.onerror = () =>
      reject(new Problem(0, 'the connection broke; nothing was received, bring it again'));
    request.onload = () => {
      const body = JSON.parse(request.responseText || '{}') as { id?: number; detail?: string };
      if ([201, 202].includes(request.status) && body.id) {
        resolve(body.id);
      } else {
        reject(new Problem(request.status, body.detail ?? `the server answered ${request.status}`));
      }
    };
    request.open('POST', path);
    request.setRequestHeader('X-XSRF-TOKEN', csrfToken());
    request.send(form);
  });
}
