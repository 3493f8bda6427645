# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Answers already given, by the key of the person's intent.
    class Requests < Table
      # Claims a key inside the act's transaction. A second request with the same key waits here for the first.
      # INSERT INTO stored_requests (...) VALUES (...) ON CONFLICT DO NOTHING
      # @return [Rows::Request, nil] nil when the key is new
      def claim(account_id:, key:, request_hash:)
        fresh =
          db[:stored_requests]
            .insert_conflict
            .returning(:key)
            .insert(household_id: household_id, account_id: account_id, key: key, request_hash: request_hash)
        return if fresh.any?

        rows(:stored_requests).where(account_id: account_id, key: key).first
      end

      # An answer is kept as long as a device may still ask for it again.
      # DELETE FROM stored_requests WHERE household_id = 7 AND stored_at < now() - interval '30 days'
      # @return [Integer] answers let go
      def prune(days: 30)
        rows(:stored_requests).where { stored_at < Sequel.lit("now() - make_interval(days => ?)", days) }.delete
      end

      # Keeps what was answered, for whoever asks again with the same key.
      def answer(account_id:, key:, answer:)
        rows(:stored_requests).where(account_id: account_id, key: key).update(answer: answer)
      end
    end
  end
end
