import { ref } from 'vue'

/** Who is signed in on this device: what he does is kept under his name, and distinguished by his id. */
const name = ref('')
const id = ref('')
export const useMe = () => ({ name, id })
