/** English: conditions that a caution can be about, in their groups, with the words people use. */

export interface ConditionWords {
  id: string
  group: string
  name: string
  /** Other words for it, in small letters. */
  synonyms: readonly string[]
}

/** After the handbook of the trade; common practice, no single source. */
const GROUPS: Record<string, readonly (readonly [id: string, name: string, others: string])[]> = {
  'eyes and head': [
    [
      'eye-pressure',
      'eye pressure (glaucoma)',
      'glaucoma, eye pressure, raised eye pressure, high eye pressure, ocular hypertension',
    ],
    [
      'retina',
      'retina trouble',
      'retina, detached retina, retinal detachment, retinopathy, eye surgery, recent eye surgery',
    ],
    [
      'ear-sinus',
      'ear or sinus trouble',
      'ear trouble, ear infection, sinus trouble, sinusitis, blocked sinuses, blocked nose, a cold',
    ],
    ['headache', 'headache or migraine', 'headache, migraine'],
    ['vertigo', 'vertigo', 'dizziness, dizzy, poor balance, balance trouble'],
  ],
  'heart and breath': [
    ['high-blood-pressure', 'high blood pressure', 'hypertension, raised blood pressure'],
    ['low-blood-pressure', 'low blood pressure', 'hypotension, fainting'],
    [
      'heart',
      'heart disease',
      'heart trouble, heart condition, heart problem, cardiac disease, heart attack, angina',
    ],
    ['asthma', 'asthma', 'breathing trouble, shortness of breath, copd'],
  ],
  belly: [
    ['reflux', 'reflux', 'heartburn, acid reflux, hiatus hernia, hiatal hernia'],
    ['hernia', 'hernia', 'belly hernia, groin hernia, umbilical hernia, inguinal hernia'],
  ],
  'neck and arms': [
    [
      'neck',
      'neck problem',
      'neck, neck pain, neck trouble, neck injury, whiplash, stiff neck, cervical spine trouble',
    ],
    [
      'shoulder',
      'shoulder injury',
      'shoulder, shoulder pain, shoulder trouble, frozen shoulder, rotator cuff, shoulder impingement, impingement',
    ],
    ['elbow', 'elbow trouble', 'elbow pain, tennis elbow, golfer’s elbow'],
    [
      'wrist',
      'wrist trouble',
      'wrist, wrist pain, wrist injury, carpal tunnel, carpal tunnel syndrome',
    ],
  ],
  back: [
    [
      'spine-injury',
      'spine injury',
      'back injury, spinal injury, vertebral fracture, spine surgery, back surgery',
    ],
    ['acute-back-pain', 'acute back pain', 'back pain, low back pain, lower back pain, lumbago'],
    ['disc', 'disc trouble', 'disc, slipped disc, herniated disc, prolapsed disc, sciatica'],
    ['osteoporosis', 'osteoporosis', 'osteopenia, brittle bones, low bone density'],
    ['uneven-spine', 'uneven spine (scoliosis)', 'scoliosis, uneven spine, side-bent spine'],
  ],
  'hips and legs': [
    ['groin', 'groin strain', 'groin injury, adductor strain, pulled groin'],
    ['hamstring', 'hamstring strain', 'hamstring injury, pulled hamstring, sit bone pain'],
    ['hip-replacement', 'hip replacement', 'artificial hip, new hip, hip surgery'],
    [
      'knee',
      'knee trouble',
      'knee, knee pain, knee injury, meniscus, torn meniscus, knee arthritis',
    ],
    [
      'knee-surgery',
      'recent knee surgery',
      'knee surgery, knee replacement, leg surgery, recent leg surgery, severe knee pain',
    ],
    ['ankle', 'ankle trouble', 'ankle, ankle sprain, sprained ankle, ankle injury, foot injury'],
  ],
  pregnancy: [
    ['first-trimester', 'first trimester', 'early pregnancy, 1st trimester'],
    ['second-trimester', 'second trimester', 'pregnancy, pregnant, 2nd trimester'],
    ['third-trimester', 'third trimester', 'late pregnancy, 3rd trimester'],
    ['placenta-praevia', 'placenta praevia', 'placenta previa, low placenta'],
    ['pelvic-girdle-pain', 'pelvic girdle pain', 'pgp, symphysis pain, spd, sacroiliac pain'],
  ],
  'whole body': [
    ['menstruation', 'menstruation', 'period, monthly period, menses'],
    [
      'recent-surgery',
      'recent surgery',
      'surgery, an operation, belly surgery, abdominal surgery, caesarean',
    ],
    ['hypermobility', 'hypermobility', 'hypermobile joints, very loose joints'],
    ['tiredness', 'tiredness or fever', 'tiredness, tired, fatigue, exhaustion, fever, flu'],
  ],
}

export const englishConditions: readonly ConditionWords[] = Object.entries(GROUPS).flatMap(
  ([group, all]) =>
    all.map(([id, name, others]) => ({
      id,
      group,
      name,
      synonyms: others.split(', ').filter(Boolean),
    }))
)
