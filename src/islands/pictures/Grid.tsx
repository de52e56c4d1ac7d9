import styles from './pictures.module.css';

/** Thirds and the middle, over a picture: what is level, and what is not. */
export function Grid() {
  return (
    <svg className={styles['grid']} viewBox="0 0 90 120" preserveAspectRatio="none" aria-hidden="true">
      <path d="M30 0V120M60 0V120M0 40H90M0 80H90" />
      <path d="M45 0V120M0 60H90" data-middle="" />
    </svg>
  );
}
