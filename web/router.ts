import { createRouter, createWebHistory, type RouteLocationRaw } from 'vue-router';
import { STAGES } from '../core/model/cable.ts';
import { placeOf } from './places.ts';
import { ensureDemo } from './storage/demo.ts';
import { useBench } from './stores/bench.ts';
import { useKeeping } from './stores/keeping.ts';
import { mayOpen } from './trouble/lastPlace.ts';
import { usePrefs } from './stores/prefs.ts';

/**
 * Where to begin: the place last looked at, else the first job; on a first visit the start page. Where the last place failed
 * twice, or there is no job, or what is kept could not be read: the list of jobs.
 */
function beginning(): RouteLocationRaw {
  const bench = useBench();
  if (useKeeping().isUnread) return '/jobs';
  const { place } = usePrefs().prefs;
  const [, jobId] = /^\/job\/([^/]+)/.exec(place) ?? [];
  if (jobId && bench.jobById(jobId)) return mayOpen(place) ? place : '/jobs';
  const [first] = bench.jobs;
  if (!first) return bench.isNew ? '/start' : '/jobs';
  const next = placeOf(first.id, first.cables[0]?.id);
  return mayOpen(router.resolve(next).fullPath) ? next : '/jobs';
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/begin' },
    { path: '/begin', component: { template: '' }, beforeEnter: beginning },
    {
      path: '/demo',
      component: { template: '' },
      beforeEnter: async () => {
        if (useKeeping().isUnread) return '/jobs';
        const job = await ensureDemo();
        return placeOf(job.id, (job.cables.find(({ tag }) => tag === 'TH-3') ?? job.cables[0])?.id, 'gauge');
      },
    },
    { path: '/start', name: 'start', component: () => import('./begin/StartPage.vue') },
    { path: '/jobs', name: 'jobs', component: () => import('./trouble/JobsPage.vue') },
    {
      path: '/job/:jobId',
      name: 'job',
      component: () => import('./bench/BenchPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/system',
      name: 'system',
      component: () => import('./system/SystemPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/sizes',
      name: 'sizes',
      component: () => import('./sizes/SizesPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/kit',
      name: 'kit',
      component: () => import('./kit/KitPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/print/:what(cutting|kit|schedule)',
      name: 'print',
      component: () => import('./paper/PrintPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/case',
      name: 'case',
      component: () => import('./toolcase/ToolCasePage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/case/questions',
      name: 'in-your-case',
      component: () => import('./toolcase/InYourCase.vue'),
      props: true,
    },
    {
      path: `/job/:jobId/cable/:cableId/:stage(${STAGES.join('|')})`,
      name: 'cable',
      component: () => import('./bench/BenchPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/card/:cableId',
      name: 'card',
      component: () => import('./card/CardPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/batch',
      name: 'batch',
      component: () => import('./make/BatchPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/section',
      name: 'section',
      component: () => import('./sectionlab/SectionPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/survey',
      name: 'survey',
      component: () => import('./survey/SurveyPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/hunt/:huntId?',
      name: 'hunt',
      component: () => import('./hunt/HuntPage.vue'),
      props: true,
    },
    {
      path: '/hunt/:huntId?',
      name: 'hunt-alone',
      component: () => import('./hunt/HuntPage.vue'),
      props: true,
    },
    {
      path: '/print/hunt/:huntId',
      name: 'print-hunt',
      component: () => import('./hunt/HuntPrint.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/log',
      name: 'log',
      component: () => import('./log/LogPage.vue'),
      props: true,
    },
    {
      path: '/log',
      name: 'log-alone',
      component: () => import('./log/LogPage.vue'),
    },
    {
      path: '/job/:jobId/print/handover',
      name: 'print-handover',
      component: () => import('./paper/HandoverPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/keeping',
      name: 'keeping',
      component: () => import('./keeping/KeepingPage.vue'),
      props: true,
    },
    {
      path: '/keeping',
      name: 'keeping-alone',
      component: () => import('./keeping/KeepingPage.vue'),
    },
    {
      path: '/job/:jobId/trends',
      name: 'trends',
      component: () => import('./log/TrendsPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/recall',
      name: 'recall',
      component: () => import('./log/RecallPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/practice',
      name: 'practice',
      component: () => import('./practice/PracticePage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/training',
      name: 'training',
      component: () => import('./training/SpotPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/print/training',
      name: 'print-training',
      component: () => import('./training/RoundPrint.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/print/records',
      name: 'print-records',
      component: () => import('./paper/RecordsPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/print/record/:cableId',
      name: 'print-record',
      component: () => import('./paper/RecordsPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/print/traveller/:cableId',
      name: 'print-traveller',
      component: () => import('./paper/TravellerPage.vue'),
      props: true,
    },
    {
      path: '/job/:jobId/bench/:cableId',
      name: 'at-bench',
      component: () => import('./make/BenchMode.vue'),
      props: true,
      beforeEnter: ({ params }) => {
        const job = useBench().jobById(String(params['jobId']));
        return job?.cables.some(({ id }) => id === params['cableId']) ? true : '/begin';
      },
    },
    { path: '/:rest(.*)*', redirect: '/begin' },
  ],
});

/** An address kept from a job that is not here any more leads to what is. */
router.beforeEach(({ params: { jobId } }) =>
  typeof jobId === 'string' && !useBench().jobById(jobId) ? '/begin' : true,
);

router.afterEach((to) => {
  if (to.name === 'cable' || to.name === 'job' || to.name === 'at-bench')
    usePrefs().prefs.place = to.fullPath;
});
