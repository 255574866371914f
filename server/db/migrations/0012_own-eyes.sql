-- What the application reads and writes it says for which garage; a statement that says nothing sees no row. The owner of the tables sees all.
ALTER TABLE "device" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "device_own" ON "device" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "device_person" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "device_person_own" ON "device_person" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "found_cause" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "found_cause_own" ON "found_cause" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "garage_pack" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "garage_pack_own" ON "garage_pack" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "invitation" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "invitation_own" ON "invitation" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "issued_paper" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "issued_paper_own" ON "issued_paper" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "job" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "job_own" ON "job" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "job_event" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "job_event_own" ON "job_event" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "job_summary" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "job_summary_own" ON "job_summary" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "job_words" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "job_words_own" ON "job_words" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "kit_figure" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "kit_figure_own" ON "kit_figure" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "open_order" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "open_order_own" ON "open_order" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "person" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "person_own" ON "person" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "share_link" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "share_link_own" ON "share_link" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "vehicle" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "vehicle_own" ON "vehicle" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "vehicle_fastener" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "vehicle_fastener_own" ON "vehicle_fastener" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "vehicle_figure" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "vehicle_figure_own" ON "vehicle_figure" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "worked_minutes" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "worked_minutes_own" ON "worked_minutes" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "wrench" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "wrench_own" ON "wrench" USING ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("garage_id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "garage" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "garage_own" ON "garage" USING ("id" = nullif(current_setting('eldrin.garage', true), '')::uuid) WITH CHECK ("id" = nullif(current_setting('eldrin.garage', true), '')::uuid);--> statement-breakpoint
-- A token, a name or an order is looked up before it is known whose it is.
CREATE POLICY "device_door" ON "device" FOR SELECT USING (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
CREATE POLICY "device_person_door" ON "device_person" FOR SELECT USING (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
CREATE POLICY "garage_door" ON "garage" FOR SELECT USING (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
CREATE POLICY "invitation_door" ON "invitation" FOR SELECT USING (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
CREATE POLICY "open_order_door" ON "open_order" FOR SELECT USING (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
CREATE POLICY "person_door" ON "person" FOR SELECT USING (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
CREATE POLICY "share_link_door" ON "share_link" FOR SELECT USING (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
CREATE POLICY "device_door_end" ON "device" FOR UPDATE USING (current_setting('eldrin.door', true) = 'open') WITH CHECK (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
ALTER TABLE "account" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "account_door" ON "account" USING (current_setting('eldrin.door', true) = 'open') WITH CHECK (current_setting('eldrin.door', true) = 'open');--> statement-breakpoint
ALTER TABLE "passkey" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "passkey_door" ON "passkey" USING (current_setting('eldrin.door', true) = 'open') WITH CHECK (current_setting('eldrin.door', true) = 'open');
