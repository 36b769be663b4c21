/**
 * Words of the usual names of poses, in IAST. From memory, after common practice in print; no
 * single source.
 */
export const SANSKRIT_WORDS: readonly string[] = `
adho ānanda añjaneyāsana añjali aṅgula aṅguṣṭha apāna apānāsana ardha aṣṭa aṣṭāṅga aṣṭāvakrāsana
āsana baddha bālāsana baka bakāsana bandha bhadrāsana bharadvājāsana bhekāsana bherundāsana
bhujapīḍāsana bhujaṅgāsana bhūnamanāsana brahmacaryāsana cakrāsana cakravākāsana candra candrāsana
caturaṅga daṇḍa daṇḍāsana dhanurāsana durvāsāsana dvi eka gaṇḍa garbha garuḍāsana gomukhāsana
gorakṣāsana halāsana hanumānāsana hasta hastāsana jānu jaṭhara kapālabhāti kapāla kapotāsana
karaṇī karṇapīḍāsana koṇa koṇāsana krauñcāsana krama kukkuṭāsana kūrmāsana laghu lolāsana
makarāsana mālāsana maṇḍalāsana maṇḍūkāsana marīcyāsana mārjaryāsana mārjārāsana matsyāsana
matsyendrāsana mayūrāsana mudrā mukha mukta mūla naṭarājāsana namaskāra namaskārāsana nāḍī
śodhana nāvāsana navāsana nidrāsana nirālamba pāda pādahastāsana pādāṅguṣṭha pādāṅguṣṭhāsana
pādāsana pādottānāsana padma padmāsana parigha parighāsana parivartanāsana parivṛtta parivṛttāsana
paripūrṇa pārśva pārśvakoṇāsana pārśvottānāsana pāśāsana paścima paścimottānāsana phalakāsana
piṇḍāsana piñcamayūrāsana piñca prasārita prāṇāyāma pūrvottānāsana rājakapotāsana rāja
śalabhāsana sālamba samakoṇāsana samasthiti sarvāṅgāsana śaśāṅkāsana śavāsana setu siddhāsana
siṃhāsana śīrṣa śīrṣāsana skandha sukhāsana supta sūrya svastikāsana śvāna śvānāsana
tāḍāsana tittibhāsana tiryaka tola tolāsana trikoṇāsana trivikramāsana tulāsana ubhaya ūrdhva
uḍḍīyāna ujjāyī upaviṣṭa uṣṭrāsana utkaṭa utkaṭāsana utkaṭakoṇāsana uttāna uttānāsana utthita
utplutiḥ utpluti vajrāsana vakrāsana vasiṣṭhāsana vātāyanāsana vinyāsa viparīta viparītakaraṇī
vīrabhadrāsana vīrāsana viṣṇu viśvāmitrāsana vṛkṣāsana vṛścikāsana vyāghrāsana yoga yoganidrāsana
`
  .trim()
  .split(/\s+/)
