/** English: conditions that a caution can be about, in their groups, with the words people use. */

export interface ConditionWords {
  id: string
  group: string
  name: string
  /** Other words for it, in small letters. */
  synonyms: readonly string[]
}

const of = (group: string, id: string, name: string, ...synonyms: string[]): ConditionWords => ({
  id,
  group,
  name,
  synonyms,
})

/** After the handbook of the trade; common practice, no single source. */
export const englishConditions: readonly ConditionWords[] = [
  of(
    'eyes and head',
    'eye-pressure',
    'eye pressure (glaucoma)',
    'glaucoma',
    'eye pressure',
    'raised eye pressure',
    'high eye pressure',
    'ocular hypertension'
  ),
  of(
    'eyes and head',
    'retina',
    'retina trouble',
    'retina',
    'detached retina',
    'retinal detachment',
    'retinopathy',
    'eye surgery',
    'recent eye surgery'
  ),
  of(
    'eyes and head',
    'ear-sinus',
    'ear or sinus trouble',
    'ear trouble',
    'ear infection',
    'sinus trouble',
    'sinusitis',
    'blocked sinuses',
    'blocked nose',
    'a cold'
  ),
  of('eyes and head', 'headache', 'headache or migraine', 'headache', 'migraine'),
  of(
    'eyes and head',
    'vertigo',
    'vertigo',
    'dizziness',
    'dizzy',
    'poor balance',
    'balance trouble'
  ),
  of(
    'heart and breath',
    'high-blood-pressure',
    'high blood pressure',
    'hypertension',
    'raised blood pressure'
  ),
  of('heart and breath', 'low-blood-pressure', 'low blood pressure', 'hypotension', 'fainting'),
  of(
    'heart and breath',
    'heart',
    'heart disease',
    'heart trouble',
    'heart condition',
    'heart problem',
    'cardiac disease',
    'heart attack',
    'angina'
  ),
  of('heart and breath', 'asthma', 'asthma', 'breathing trouble', 'shortness of breath', 'copd'),
  of('belly', 'reflux', 'reflux', 'heartburn', 'acid reflux', 'hiatus hernia', 'hiatal hernia'),
  of(
    'belly',
    'hernia',
    'hernia',
    'belly hernia',
    'groin hernia',
    'umbilical hernia',
    'inguinal hernia'
  ),
  of(
    'neck and arms',
    'neck',
    'neck problem',
    'neck',
    'neck pain',
    'neck trouble',
    'neck injury',
    'whiplash',
    'stiff neck',
    'cervical spine trouble'
  ),
  of(
    'neck and arms',
    'shoulder',
    'shoulder injury',
    'shoulder',
    'shoulder pain',
    'shoulder trouble',
    'frozen shoulder',
    'rotator cuff',
    'shoulder impingement',
    'impingement'
  ),
  of('neck and arms', 'elbow', 'elbow trouble', 'elbow pain', 'tennis elbow', 'golfer’s elbow'),
  of(
    'neck and arms',
    'wrist',
    'wrist trouble',
    'wrist',
    'wrist pain',
    'wrist injury',
    'carpal tunnel',
    'carpal tunnel syndrome'
  ),
  of(
    'back',
    'spine-injury',
    'spine injury',
    'back injury',
    'spinal injury',
    'vertebral fracture',
    'spine surgery',
    'back surgery'
  ),
  of(
    'back',
    'acute-back-pain',
    'acute back pain',
    'back pain',
    'low back pain',
    'lower back pain',
    'lumbago'
  ),
  of(
    'back',
    'disc',
    'disc trouble',
    'disc',
    'slipped disc',
    'herniated disc',
    'prolapsed disc',
    'sciatica'
  ),
  of('back', 'osteoporosis', 'osteoporosis', 'osteopenia', 'brittle bones', 'low bone density'),
  of(
    'back',
    'uneven-spine',
    'uneven spine (scoliosis)',
    'scoliosis',
    'uneven spine',
    'side-bent spine'
  ),
  of('hips and legs', 'groin', 'groin strain', 'groin injury', 'adductor strain', 'pulled groin'),
  of(
    'hips and legs',
    'hamstring',
    'hamstring strain',
    'hamstring injury',
    'pulled hamstring',
    'sit bone pain'
  ),
  of(
    'hips and legs',
    'hip-replacement',
    'hip replacement',
    'artificial hip',
    'new hip',
    'hip surgery'
  ),
  of(
    'hips and legs',
    'knee',
    'knee trouble',
    'knee',
    'knee pain',
    'knee injury',
    'meniscus',
    'torn meniscus',
    'knee arthritis'
  ),
  of(
    'hips and legs',
    'knee-surgery',
    'recent knee surgery',
    'knee surgery',
    'knee replacement',
    'leg surgery',
    'recent leg surgery',
    'severe knee pain'
  ),
  of(
    'hips and legs',
    'ankle',
    'ankle trouble',
    'ankle',
    'ankle sprain',
    'sprained ankle',
    'ankle injury',
    'foot injury'
  ),
  of('pregnancy', 'first-trimester', 'first trimester', 'early pregnancy', '1st trimester'),
  of('pregnancy', 'second-trimester', 'second trimester', 'pregnancy', 'pregnant', '2nd trimester'),
  of('pregnancy', 'third-trimester', 'third trimester', 'late pregnancy', '3rd trimester'),
  of('pregnancy', 'placenta-praevia', 'placenta praevia', 'placenta previa', 'low placenta'),
  of(
    'pregnancy',
    'pelvic-girdle-pain',
    'pelvic girdle pain',
    'pgp',
    'symphysis pain',
    'spd',
    'sacroiliac pain'
  ),
  of('whole body', 'menstruation', 'menstruation', 'period', 'monthly period', 'menses'),
  of(
    'whole body',
    'recent-surgery',
    'recent surgery',
    'surgery',
    'an operation',
    'belly surgery',
    'abdominal surgery',
    'caesarean'
  ),
  of('whole body', 'hypermobility', 'hypermobility', 'hypermobile joints', 'very loose joints'),
  of(
    'whole body',
    'tiredness',
    'tiredness or fever',
    'tiredness',
    'tired',
    'fatigue',
    'exhaustion',
    'fever',
    'flu'
  ),
]
