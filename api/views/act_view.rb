# frozen_string_literal: true

module NutShelf
  module Api
    # Acts and a stack's history as JSON.
    module ActView
      module_function

      # @param account_id [Integer] who asks
      def row(act, account_id)
        {
          id: act.id,
          kind: act.kind,
          summary: act.summary,
          person: act.person,
          mine: act.account_id == account_id,
          occurred_on: act.occurred_on.iso8601,
          noted_at: act.noted_at.utc.iso8601,
          undone: !act.undone_by.nil?,
          undoable: act.undone_by.nil? && act.undoes_act_id.nil?
        }
      end

      # @param wording [#call] amount to words
      def history(act, wording)
        {
          act_id: act.id,
          kind: act.kind,
          summary: act.summary,
          person: act.person,
          noted_at: act.noted_at.utc.iso8601,
          occurred_on: act.occurred_on.iso8601,
          amount: act.quantity && signed(act.quantity, wording),
          value_minor: act.value&.to_i,
          why: act.why.to_s,
          undone: !act.undone_by.nil?,
          undoable: act.undone_by.nil? && act.undoes_act_id.nil?
        }
      end

      def signed(quantity, wording) = "#{quantity.negative? ? "−" : "+"}#{wording.call(quantity.abs)}"
    end
  end
end
